import type { Complaint } from '../schema/job.ts';
import type { Model, ModelFault } from './model.ts';
import { patternWeight } from './presence.ts';

/** One account of what is wrong: nothing on this trail, one fault, two at once. */
export interface Hypothesis {
  readonly id: string;
  readonly faults: readonly ModelFault[];
  readonly prior: number;
}

/** Shares of the whole before any reading. */
export const SHARES = {
  /** Two faults at once. */
  pairs: 0.06,
  /** The trail is sound and the trouble is on another. */
  sound: 0.05,
  /** Something this model does not know. */
  outside: 0.01,
} as const;

export const SOUND_ID = 'sound';
export const OUTSIDE_ID = 'outside';

const weightOf = (fault: ModelFault, complaint: Complaint) => fault.weight * patternWeight(complaint, fault);

export function singles(model: Model, complaint: Complaint): Hypothesis[] {
  const total = model.faults.reduce((sum, f) => sum + weightOf(f, complaint), 0);
  const share = 1 - SHARES.pairs - SHARES.sound - SHARES.outside;
  return model.faults.map((f) => ({ id: f.id, faults: [f], prior: (share * weightOf(f, complaint)) / total }));
}

/** Pairs among two sets of faults, one of each; two ways of failing of one part do not go together. */
export function pairs(
  model: Model,
  complaint: Complaint,
  first: readonly ModelFault[],
  second: readonly ModelFault[],
): Hypothesis[] {
  const total = model.faults.reduce((sum, f) => sum + weightOf(f, complaint), 0);
  const made = new Map<string, Hypothesis>();
  for (const a of first) {
    for (const b of second) {
      if (a.part.id === b.part.id) continue;
      const [x, y] = a.id < b.id ? [a, b] : [b, a];
      const id = `${x.id}+${y.id}`;
      if (made.has(id)) continue;
      const prior = (SHARES.pairs * 2 * weightOf(x, complaint) * weightOf(y, complaint)) / total ** 2;
      made.set(id, { id, faults: [x, y], prior });
    }
  }
  return [...made.values()];
}
