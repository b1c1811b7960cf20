import type { House } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { Twist } from '../schema/practice.ts';
import type { Random } from '../random/lcg.ts';
import { buildModel, type Model, type ModelFault } from '../tracing/model.ts';

/** How far off its book a plate is: another variant of the part was fitted once. */
const OFF_BY = 1.35;
/** What the system's volts say: no variant has another. */
const OF_THE_SYSTEM: ReadonlySet<string> = new Set(['restVolts']);

/** One plate figure that is that of another variant, where there is one. */
function offItsPlate(machine: MachineBody, model: Model, random: Random): MachineBody {
  const plates = [...model.plates.values()].filter((p) => !p.spec.hidden && !OF_THE_SYSTEM.has(p.spec.id));
  const plate = plates[Math.floor(random() * plates.length)];
  if (!plate) return machine;
  const by = random() < 0.5 ? OFF_BY : 1 / OFF_BY;
  const within = (v: number) => Math.min(plate.range.high, Math.max(plate.range.low, v * by));
  const own = {
    low: within(plate.low),
    high: within(plate.high),
    source: 'measured on a good one' as const,
    note: '',
  };
  return { ...machine, plates: { ...machine.plates, [plate.id]: own } };
}

/** What an earlier owner may have bridged; nothing where there is none to bridge. */
export const bypassOf = (model: Model): ModelFault | undefined => model.faults.find((f) => f.id === 'ballast.bypassed');

/** The machine as it really is, where its book does not say so; nothing where it is as the book says. */
export function realMachine(
  machine: MachineBody,
  house: House,
  twists: readonly Twist[],
  random: Random,
): MachineBody | undefined {
  if (!twists.includes('off its plate')) return undefined;
  const real = offItsPlate(machine, buildModel(machine, house), random);
  return real === machine ? undefined : real;
}
