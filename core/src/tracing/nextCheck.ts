import { OPENING_MINUTES, type Check, type Opening } from '../trails/checks.ts';
import type { Belief, Weigher } from './belief.ts';
import type { Cells } from './cells.ts';
import { aboutGroups, aboutTrails, outcomes, soundShare, surest, type Counted } from './counting.ts';
import { trailBelief } from './trailBelief.ts';
import { SEES_AGAIN } from './repeated.ts';

/** What has been opened serves later checks too, so only this share of it is charged to the one that asks for it. */
const OPENING_CHARGE = 0.6;

export interface RankedCheck {
  readonly check: Check;
  /** Expected entropy lost over "which repair", bits. */
  readonly bits: number;
  /** Minutes with what must still be opened. */
  readonly minutes: number;
  readonly bitsPerMinute: number;
}

export function minutesOf(check: Check, open: ReadonlySet<Opening>, charge = 1): number {
  return check.opens.reduce((sum, o) => sum + (open.has(o) ? 0 : charge * OPENING_MINUTES[o]), check.minutes);
}

/** What is open already, from the checks that were done. */
export function opened(belief: Belief, weigher: Weigher): Set<Opening> {
  return new Set(belief.story.readings.flatMap(({ reading }) => weigher.check(reading.checkId)?.opens ?? []));
}

/** While no trail holds so much of the belief, what parts the trails comes first: a bit about them counts so much more. */
const TRAIL_FOUND = 0.6;
const TRAIL_COUNTS = 2;

/** Surer than this of what it will read, nobody goes and reads it while anything else tells a little. */
const KNOWN_FROM = 0.98;
const KNOWN_COUNTS = 0.05;
const SOUNDED_OUT = 0.5;

/** So many of the first are counted with sets of faults played together, and again until those that lead are. */
const LOOKED_AT = 8;
const LEAD = 5;

/**
 * Every check that could still be done, by expected information per minute [4]; `again` are those read before. Sets of
 * faults are played together for those in front only: what comes behind them is ordered by a first look.
 */
export function rankChecks(
  weigher: Weigher,
  cells: Cells,
  belief: Belief,
  counted: Counted,
  excluded: ReadonlySet<string>,
  again: ReadonlySet<string> = new Set(),
): RankedCheck[] {
  const open = opened(belief, weigher);
  const trailOpen = Math.max(...trailBelief(belief).map((t) => t.share)) < TRAIL_FOUND;
  // What is as good as sound is sounded out: there each reading is known, and each is needed.
  const seeking = soundShare(belief) < SOUNDED_OUT;
  const look = (check: Check, rough: boolean): Looked => {
    const table = outcomes(cells, counted, check, { rough });
    // What has been read once mostly reads the same: only what would be seen afresh tells anything.
    const fresh = again.has(check.id) ? 1 - SEES_AGAIN : 1;
    const bits = fresh * aboutGroups(table);
    const more = trailOpen && bits > 0 ? fresh * TRAIL_COUNTS * aboutTrails(table, counted) : 0;
    return {
      check,
      bits,
      minutes: minutesOf(check, open),
      bitsPerMinute: (bits + more) / minutesOf(check, open, OPENING_CHARGE),
      exact: table.exact,
      inFront: seeking && surest(table) > KNOWN_FROM ? KNOWN_COUNTS : 1,
    };
  };
  const inOrder = (looked: Looked[]) =>
    looked.sort((a, b) => b.inFront * b.bitsPerMinute - a.inFront * a.bitsPerMinute);
  let looked = inOrder(
    weigher.model.checks.filter((check) => !excluded.has(check.id)).map((check) => look(check, true)),
  );
  while (looked.slice(0, LEAD).some((l) => !l.exact))
    looked = inOrder(looked.map((l, place) => (place < LOOKED_AT && !l.exact ? look(l.check, false) : l)));
  return looksFirst(looked, open).map(({ exact: _, inFront: _place, ...ranked }) => ranked);
}
interface Looked extends RankedCheck {
  readonly exact: boolean;
  /** How much its bits count for its place. */
  readonly inFront: number;
}

/** A look that takes under a minute and tells at least this comes before anything is opened. */
const LOOK_MINUTES = 1;
const LOOK_BITS = 0.03;

/** And this much of what the best check tells per minute is as good: no meter is fetched for the rest. */
const AS_GOOD = 0.9;

/**
 * Nobody opens a dash before looking at the wire, or fetches a meter for what the eye tells as well: the best quick look
 * goes first while the best check opens something, and before an instrument that tells hardly more.
 */
function looksFirst(ranked: readonly Looked[], open: ReadonlySet<Opening>): readonly Looked[] {
  const opens = ({ check }: Looked) => check.opens.some((o) => !open.has(o));
  const [best] = ranked;
  if (!best || (!opens(best) && best.check.instrument === 'eyes')) return [...ranked];
  const quick = ranked.filter((r) => !opens(r) && r.minutes < LOOK_MINUTES);
  const look = opens(best)
    ? quick.find((r) => r.check.look && r.bits > LOOK_BITS)
    : quick.find(
        (r) => r.check.instrument === 'eyes' && r.inFront === 1 && r.bitsPerMinute >= AS_GOOD * best.bitsPerMinute,
      );
  return look ? [look, ...ranked.filter((r) => r !== look)] : [...ranked];
}
