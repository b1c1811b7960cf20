import { saidOf } from '../engine/complaint.ts';
import type { Complaint } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import { besideElsewhere, companionChance, setOf, type Hypothesis } from './hypotheses.ts';
import type { Model, ModelFault } from './model.ts';
import { goTogether } from './onePart.ts';

/** What an account says of each symptom and of each reading, as natural logarithms; a row for each. */
export type Says = (faults: readonly ModelFault[]) => Float64Array;

/** An account not weighed yet: what it may come to, and the better of the two for each symptom and each reading. */
export interface Grown {
  readonly h: Hypothesis;
  /** Natural logarithm, as `Base.log`. */
  readonly hope: number;
  readonly rows: Float64Array;
}

/** An account as it was weighed: what grows from it starts from here. */
export interface Base {
  readonly h: Hypothesis;
  readonly log: number;
}

/** Accounts from which others grow, and that are made anew in each generation: of one fault more each time. */
const GROWN_FROM = [40, 8, 5] as const;
const MADE = [24, 10, 6] as const;
export const GENERATIONS = MADE.length;
/** So far behind the best account, a natural logarithm, one is not worth simulating. */
export const HOPELESS = 6;
/** A fault is taken in where it makes what was read no less likely than this, against the account without it. */
const WORTH_TAKING = -2;

interface Candidate {
  readonly base: Hypothesis;
  readonly fault: ModelFault;
  /** What the base says of each symptom and of each reading. */
  readonly own: Float64Array;
  readonly hope: number;
}

const keyOf = (trail: TrailName | undefined, faults: readonly ModelFault[]): string =>
  [trail ?? '', ...faults.map((f) => f.id).sort()].join('+');

/**
 * The accounts of one fault more that are worth simulating, best first: each base with what would explain what it leaves
 * unexplained, as if the better of the two spoke for each symptom and each reading. What explains nothing more than its
 * base is no other account.
 */
export function grow(
  model: Model,
  complaint: Complaint,
  weighed: readonly Base[],
  generation: number,
  alone: ReadonlyMap<ModelFault, Float64Array>,
  says: Says,
): Grown[] {
  const symptoms = saidOf(complaint).length;
  const bases = [...weighed].sort((a, b) => b.log - a.log).slice(0, GROWN_FROM[generation]);
  const bar = (bases[0]?.log ?? 0) - HOPELESS;
  const chanceOf = companionChance(model, complaint);
  const best = new Map<string, Candidate>();
  for (const { h, log } of bases) {
    const own = h.faults.length === 1 ? alone.get(h.faults[0]!)! : says(h.faults);
    for (const [fault, row] of alone) {
      if (!h.faults.every((f) => goTogether(model, f, fault))) continue;
      let gain = Math.log(chanceOf(fault, h.faults));
      // By what lies on a trail that nobody told the complaint is explained already.
      for (let k = h.elsewhere ? symptoms : 0; k < row.length; k++) if (row[k]! > own[k]!) gain += row[k]! - own[k]!;
      const hope = log + gain;
      if (gain < WORTH_TAKING || hope < bar) continue;
      const key = keyOf(h.elsewhere, [...h.faults, fault]);
      if (!(hope <= (best.get(key)?.hope ?? -Infinity))) best.set(key, { base: h, fault, own, hope });
    }
  }
  return [...best.values()]
    .sort((a, b) => b.hope - a.hope)
    .slice(0, MADE[generation])
    .map(({ base, fault, own, hope }) => {
      const faults = [...base.faults, fault];
      const h = base.elsewhere
        ? besideElsewhere(model, complaint, base.elsewhere, faults)
        : setOf(model, complaint, faults);
      const row = alone.get(fault)!;
      return { h, hope, rows: own.map((said, k) => Math.max(said, row[k]!)) };
    });
}
