import type { Check } from '../trails/checks.ts';
import type { Belief } from './belief.ts';
import type { ModelFault } from './model.ts';
import type { RankedCheck } from './nextCheck.ts';
import type { Evidence } from './suspects.ts';

/** A second check must tell the suspect from the next one by this much, bits of one. */
const TELLS = 0.3;
/** Evidence that speaks for a suspect, powers of ten. */
const SPEAKS = 0.3;

/** How many checks, each of its own kind, speak for a suspect. */
export const witnesses = (evidence: readonly Evidence[]): number =>
  new Set(evidence.filter((e) => e.decades > SPEAKS).map((e) => e.checkId)).size;

/**
 * Before a dear part is called guilty: the check, not made yet, that best tells it from what else it could be, for its
 * minutes. Nothing when no check would: then what is known must do.
 */
export function secondCheck(
  guilty: ModelFault,
  belief: Belief,
  ranked: readonly RankedCheck[],
  separation: (one: readonly ModelFault[], other: readonly ModelFault[], check: Check) => number,
): Check | undefined {
  const others = belief.weighed
    .filter((w) => w.remaining.length < 2 && w.remaining[0]?.repairId !== guilty.repairId)
    .sort((a, b) => b.mass - a.mass)
    .slice(0, 2)
    .map((w) => w.remaining);
  let best: { check: Check; rate: number } | undefined;
  for (const { check, minutes } of ranked) {
    const apart = Math.min(...others.map((o) => separation([guilty], o, check)));
    if (apart < TELLS || apart / minutes <= (best?.rate ?? 0)) continue;
    best = { check, rate: apart / minutes };
  }
  return best?.check;
}
