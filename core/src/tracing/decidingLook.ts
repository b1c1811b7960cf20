import type { House } from '../schema/house.ts';
import type { Check } from '../trails/checks.ts';
import type { Belief, Weigher } from './belief.ts';
import type { ModelFault, ModelRepair } from './model.ts';
import type { RankedCheck } from './nextCheck.ts';
import { costOf, perMinute } from './repairCost.ts';

/** From so many minutes on a repair is long. */
const LONG_MINUTES = 60;
/** The look that decides costs no more than this part of what it may spare. */
const OF_ITS_COST = 0.1;
/** Bits of one by which it tells the failed part from a sound one. */
const DECIDES = 0.2;
/** A look at the thing itself depends on it and on hardly anything else. */
const MOST_PARTS = 3;

export const isLong = ({ minutes }: ModelRepair): boolean => minutes >= LONG_MINUTES;

/** Whether a check looks at the part itself: nothing of the network enters, and few other parts do. */
function looksAt(weigher: Weigher, { part }: ModelFault, check: Check): boolean {
  if (check.whole || check.elective) return false;
  const { parts, states, probed } = weigher.ensemble([]).dependsOn(check);
  const direct = check.probe.kind === 'look' || check.probe.kind === 'figure';
  if (check.probe.kind === 'ohms' && check.probe.bench === part.id) return true;
  return direct && !probed && states.size === 0 && parts.has(part.id) && parts.size <= MOST_PARTS;
}

/** Checks that look at what a repair is for and cost little beside it; what must be opened is opened for the repair too. */
export function decidingLooks(
  weigher: Weigher,
  guilty: ModelFault,
  repair: ModelRepair,
  house: House,
  separation: (check: Check) => number,
): Check[] {
  const most = OF_ITS_COST * costOf(repair, house);
  return weigher.model.checks.filter(
    (check) =>
      check.minutes * perMinute(house) <= most && looksAt(weigher, guilty, check) && separation(check) >= DECIDES,
  );
}

/** The one of them to be made now: what tells most per minute; nothing where one was made, or none is offered. */
export function lookFirst(
  looks: readonly Check[],
  { story }: Belief,
  ranked: readonly RankedCheck[],
  separation: (check: Check) => number,
): Check | undefined {
  if (story.readings.some((p) => looks.some((c) => c.id === p.reading.checkId))) return undefined;
  const offered = ranked.filter((r) => looks.includes(r.check));
  return offered.sort((a, b) => separation(b.check) / b.minutes - separation(a.check) / a.minutes)[0]?.check;
}
