import type { House } from '../schema/house.ts';
import type { Complaint, Conditions, JobEvent } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import { seedOf } from '../random/lcg.ts';
import { Latest } from './latest.ts';
import { recall, simulatedText } from './simulated.ts';
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
  /** Whether anything but the sound machine has been simulated. */
  knows(machine: MachineBody, house: House): boolean {
    const key = Simulation.keyOf(machine, house);
    return this.kept.has(key) && this.for(machine, house).weigher.ensembles.size > 1;
  }
  /** All that has been simulated of a machine so far, as text for another cache. */
  simulated(machine: MachineBody, house: House): string {
    return simulatedText(this.for(machine, house).weigher, Simulation.keyOf(machine, house));
  }
  /** Takes over what another has simulated; false where that is of another machine or other house rules. */
  recall(machine: MachineBody, house: House, text: string): boolean {
    return recall(this.for(machine, house).weigher, text, Simulation.keyOf(machine, house));
  }
  dropOldest(): void {
    this.kept.dropOldest();
  }
}

/** A short name for a machine under its house rules, as far as a simulation rests on them; the text says it in full. */
export const simulatedName = (machine: MachineBody, house: House): string =>
  seedOf(Simulation.keyOf(machine, house)).toString(36);

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
