import type { House } from '../schema/house.ts';
import type { Check } from '../trails/checks.ts';
import type { Belief } from './belief.ts';
import type { Model, ModelFault, ModelRepair } from './model.ts';
import type { RankedCheck } from './nextCheck.ts';
import { costOf, perMinute } from './repairCost.ts';
import { faultShares } from './suspects.ts';

/** A part of this price is bought, not mended with what lies about. */
const BOUGHT_FROM = 10;
/** The check that rules it out costs no more than this part of the repair. */
const OF_ITS_COST = 0.1;
/** Another way of failing that is put right for this part of its cost at most is ruled out first. */
const CHEAPER = 0.5;
/** So much less likely than what is called, readings have ruled it out already. */
const PLAUSIBLE = 0.003;
/** Bits of one by which a check tells the two ways of failing apart. */
const APART = 0.5;

/**
 * Before a part is replaced: the check that tells this failing of it from one that is put right for much less, a battery
 * that is worn out from one that is flat. Nothing where such a check was made, or where none costs little beside it.
 */
export function ruledOutFirst(
  model: Model,
  guilty: ModelFault,
  repair: ModelRepair,
  house: House,
  belief: Belief,
  ranked: readonly RankedCheck[],
  separation: (one: readonly ModelFault[], other: readonly ModelFault[], check: Check) => number,
): Check | undefined {
  if (repair.money < BOUGHT_FROM) return undefined;
  const most = OF_ITS_COST * costOf(repair, house);
  const { story } = belief;
  const shares = faultShares(belief);
  const share = (fault: ModelFault) => shares.get(fault) ?? 0;
  const read = new Set(story.readings.map((p) => p.reading.checkId));
  for (const other of model.faults) {
    if (other.part !== guilty.part || story.repaired.has(other.repairId)) continue;
    if (share(other) < PLAUSIBLE * share(guilty)) continue;
    if (costOf(model.repairs.get(other.repairId)!, house) > CHEAPER * costOf(repair, house)) continue;
    const tells = (check: Check) => separation([guilty], [other], check) >= APART;
    if (model.checks.some((check) => read.has(check.id) && tells(check))) continue;
    const first = ranked.find(({ check, minutes }) => minutes * perMinute(house) <= most && tells(check));
    if (first) return first.check;
  }
  return undefined;
}
