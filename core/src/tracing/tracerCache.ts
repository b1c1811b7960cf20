import type { House } from '../schema/house.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import { Simulation, Tracer, type Trace } from './trace.ts';

/** What has been simulated of the last machines; the least lately used go first. */
export class TracerCache {
  private readonly kept = new Map<string, Simulation>();
  private readonly most: number;

  constructor(most: number) {
    this.most = most;
  }
  get size(): number {
    return this.kept.size;
  }
  for(machine: MachineBody, house: House): Tracer {
    const key = Simulation.keyOf(machine, house);
    const simulation = this.kept.get(key) ?? new Simulation(machine, house);
    this.kept.delete(key);
    this.kept.set(key, simulation);
    while (this.kept.size > this.most) this.dropOldest();
    return new Tracer(machine, house, simulation);
  }
  dropOldest(): void {
    for (const oldest of this.kept.keys()) return void this.kept.delete(oldest);
  }
}

const TRACERS_KEPT = 6;
const tracers = new TracerCache(TRACERS_KEPT);

/** The tracer of this machine under these house rules; the last few are kept. */
export const tracerFor = (machine: MachineBody, house: House): Tracer => tracers.for(machine, house);

/** Pure: suspects, next check and verdict from the machine, what was complained of, and what has happened. */
export function trace(
  machine: MachineBody,
  complaint: Complaint,
  events: readonly JobEvent[],
  house: House,
  now: Conditions = { warmth: 'unknown', faultPresent: 'unknown' },
): Trace {
  return tracerFor(machine, house).trace(complaint, events, now);
}
