import type { House } from '../schema/house.ts';
import type { MachineBody } from '../schema/machine.ts';
import { NoSolution } from '../machine/scene.ts';
import { Weigher } from './belief.ts';
import { buildModel, type Model, type Plate } from './model.ts';
import type { Tracer } from './trace.ts';
import type { TracerCache } from './tracerCache.ts';

/** A given figure with which the machine cannot be computed. */
export interface PlateProblem {
  readonly plate: Plate;
  readonly end: 'low' | 'high';
}

/** Figures given outside the range in which the machine is known to solve; each end is named. */
export function plateProblems(machine: MachineBody, model: Model): PlateProblem[] {
  return Object.keys(machine.plates).flatMap((id) => {
    const plate = model.plates.get(id);
    if (!plate) return [];
    const { low, high } = plate.range;
    const ends = (['low', 'high'] as const).filter((end) => !(plate[end] >= low && plate[end] <= high));
    return ends.map((end) => ({ plate, end }));
  });
}

/** Whether the sound machine can be solved for every check. */
function solves(machine: MachineBody, house: House): boolean {
  try {
    const weigher = new Weigher(buildModel(machine, house));
    const sound = weigher.ensemble([]);
    for (const check of weigher.model.checks) sound.predict(check);
    return true;
  } catch {
    return false;
  }
}

/**
 * The figures for which this machine cannot be computed, whatever was stored; none where it can. Those out of their
 * range are named first; failing that, the one that mends it when it goes back to typical; failing that, all given.
 */
export function unsolved(machine: MachineBody, house: House): readonly Plate[] {
  const model = buildModel(machine, house);
  const outside = [...new Set(plateProblems(machine, model).map((p) => p.plate))];
  if (outside.length) return outside;
  if (solves(machine, house)) return [];
  const given = Object.keys(machine.plates);
  const without = (id: string) => Object.fromEntries(Object.entries(machine.plates).filter(([k]) => k !== id));
  const guilty = given.filter((id) => solves({ ...machine, plates: without(id) }, house));
  return (guilty.length ? guilty : given).flatMap((id) => model.plates.get(id) ?? []);
}

/** The machine cannot be computed with these figures. */
export class Unsolved extends Error {
  readonly plates: readonly Plate[];
  constructor(plates: readonly Plate[]) {
    super(`No solution with ${plates.map((p) => p.id).join(', ')}`);
    this.plates = plates;
  }
}

/** Does what is asked of a machine's tracer. Throws Unsolved, with the figures to change, where it has no answer. */
export function withTracer<T>(
  tracers: TracerCache,
  machine: MachineBody,
  house: House,
  work: (tracer: Tracer) => T,
): T {
  const tracer = tracers.for(machine, house);
  if (plateProblems(machine, tracer.model).length) throw new Unsolved(unsolved(machine, house));
  try {
    return work(tracer);
  } catch (error) {
    const plates = error instanceof NoSolution ? unsolved(machine, house) : [];
    throw plates.length ? new Unsolved(plates) : error;
  }
}
