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

export const weightOf = (fault: ModelFault, complaint: Complaint) => fault.weight * patternWeight(complaint, fault);

export function singles(model: Model, complaint: Complaint): Hypothesis[] {
  const total = model.faults.reduce((sum, f) => sum + weightOf(f, complaint), 0);
  const share = 1 - SHARES.pairs - SHARES.sound - SHARES.outside;
  return model.faults.map((f) => ({ id: f.id, faults: [f], prior: (share * weightOf(f, complaint)) / total }));
}

/** The pair of two faults, whichever is named first. */
export function pairOf(model: Model, complaint: Complaint, a: ModelFault, b: ModelFault): Hypothesis {
  const [x, y] = a.id < b.id ? [a, b] : [b, a];
  return { id: `${x.id}+${y.id}`, faults: [x, y], prior: pairPrior(model, complaint)(x, y) };
}

/** Share of a pair before any reading. */
export function pairPrior(model: Model, complaint: Complaint): (a: ModelFault, b: ModelFault) => number {
  const total = model.faults.reduce((sum, f) => sum + weightOf(f, complaint), 0);
  return (a, b) => (SHARES.pairs * 2 * weightOf(a, complaint) * weightOf(b, complaint)) / total ** 2;
}
