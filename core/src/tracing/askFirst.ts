import type { House } from '../schema/house.ts';
import type { Complaint } from '../schema/job.ts';
import type { Check } from '../trails/checks.ts';
import type { Belief, Weigher } from './belief.ts';
import { ruledOutFirst } from './cheaperFailing.ts';
import { decidingLooks, isLong, lookFirst } from './decidingLook.ts';
import type { Model, ModelFault } from './model.ts';
import type { RankedCheck } from './nextCheck.ts';
import { costOf } from './repairCost.ts';
import { secondCheck, witnesses } from './secondCheck.ts';
import { evidenceFor, guiltyOf } from './suspects.ts';
import type { Verdict } from './verdict.ts';

/** What a repair that is about to be called rests on. */
export interface Resting {
  readonly model: Model;
  readonly weigher: Weigher;
  readonly house: House;
  /** Parts from this price on are dear. */
  readonly dearFrom: number;
  readonly belief: Belief;
  readonly complaint: Complaint;
  readonly ranked: readonly RankedCheck[];
  /** Bits of one by which a check tells two accounts apart. */
  readonly separation: (one: readonly ModelFault[], other: readonly ModelFault[], check: Check) => number;
}

/**
 * The check to be made before a repair that is called, if there is one: what rules out that the part failed in a way that
 * costs much less; of what is dear or long, the look at the thing itself; of what is dear, a second witness.
 */
export function askFirst(
  { model, weigher, house, dearFrom, belief, complaint, ranked, separation }: Resting,
  { repair, share }: Extract<Verdict, { kind: 'fix' }>,
): Verdict | undefined {
  const guilty = guiltyOf(repair, belief);
  if (!guilty) return undefined;
  const ask = (check: Check | undefined, loss: number): Verdict | undefined =>
    check && { kind: 'second check', repair, share, check, loss };
  const cost = costOf(repair, house);
  const cheaper = ruledOutFirst(model, guilty, repair, house, belief, ranked, separation);
  if (cheaper) return ask(cheaper, cost);
  const dear = repair.money >= dearFrom;
  if (!dear && !isLong(repair)) return undefined;
  const tells = (check: Check) => separation([guilty], [], check);
  const look = lookFirst(decidingLooks(weigher, guilty, repair, house, tells), belief, ranked, tells);
  if (look || !dear) return ask(look, cost);
  if (witnesses(evidenceFor(weigher, belief, complaint, guilty)) > 1) return undefined;
  return ask(secondCheck(guilty, belief, ranked, separation), repair.money);
}
