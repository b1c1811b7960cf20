import type { House } from '../schema/house.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import { Latest } from './latest.ts';
import { Simulation, Tracer, type Trace } from './trace.ts';

/** What has been simulated of the last machines; the least lately used go first. */
export class TracerCache {
  private readonly kept: Latest<string, Simulation>;

  constructor(most: number) {
    this.kept = new Latest(most);
  }
  get size(): number {
    return this.kept.size;
  }
  for(machine: MachineBody, house: House): Tracer {
    const key = Simulation.keyOf(machine, house);
    const simulation = this.kept.of(key, () => new Simulation(machine, house));
    return new Tracer(machine, house, simulation);
  }
  dropOldest(): void {
    this.kept.dropOldest();
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
