import type { MachineParams } from '../machine/known.ts';
import type { PartParams } from '../machine/part.ts';
import { seededRandom, seedOf, shuffled, type Random } from '../random/lcg.ts';
import type { Model, ModelFault, Plate } from './model.ts';

/**
 * Figures of one sound machine of this plate: each drawn over its band, more often near the middle (the mean of two
 * even draws). `stretch` above 1 goes beyond the band by that factor, at most so many times lower than its low end.
 */
export function drawSound(model: Model, random: Random, stretch = 1): MachineParams {
  return figuresOf(model, (plate) => within(plate, stretch * (random() + random() - 1), stretch));
}

/**
 * So many sound machines that stand for all of this plate: each figure takes every one of as many equally likely steps
 * of its band once, in an order of its own (Latin hypercube sampling, McKay, Beckman and Conover 1979). The order hangs
 * on the figure's name alone, so a part more leaves all others as they were drawn.
 */
export function drawEvenly(model: Model, count: number): MachineParams[] {
  const steps = new Map(
    [...model.plates.keys()].map((id) => {
      const random = seededRandom(seedOf(id));
      return [id, shuffled(count, random).map((step) => offMiddle((step + random()) / count))];
    }),
  );
  return Array.from({ length: count }, (_, m) =>
    figuresOf(model, (plate) => within(plate, steps.get(plate.id)![m]!, 1)),
  );
}

/** Half widths off the middle below which this share of all lie, where the mean of two even draws is taken. */
const offMiddle = (share: number): number => (share < 0.5 ? Math.sqrt(2 * share) - 1 : 1 - Math.sqrt(2 * (1 - share)));

function figuresOf(model: Model, of: (plate: Plate) => number): MachineParams {
  const params: Record<string, Record<string, number>> = {};
  for (const part of model.machine.parts) params[part.id] = {};
  for (const plate of model.plates.values()) params[plate.part.id]![plate.spec.id] = of(plate);
  // Made at one go it is copied seven times as fast as one that grew key by key, and each fault copies it.
  return Object.fromEntries(Object.entries(params));
}

/** A band this wide, high over low, is one of decades: an insulation, a leak. */
const DECADES_FROM = 10;

/** The figure at `off` half widths from the middle of a band; of one of decades, by ratio. */
function within({ low, high, spec }: Plate, off: number, stretch: number): number {
  if (low > 0 && high / low >= DECADES_FROM) return Math.sqrt(low * high) * (high / low) ** (off / 2);
  const drawn = Math.min(spec.most ?? Infinity, (low + high) / 2 + ((high - low) / 2) * off);
  return low > 0 ? Math.max(low / stretch, drawn) : drawn;
}

/** The same machine with a fault put in. */
export function withFault(model: Model, params: MachineParams, fault: ModelFault, severity: number): MachineParams {
  const failed: PartParams = fault.mode.apply(params[fault.part.id]!, severity, model.machine.fit);
  return { ...params, [fault.part.id]: failed };
}
