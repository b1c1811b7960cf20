import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { Complaint, Reading, ReadingValue } from '../schema/job.ts';
import { TRY_IT, type Check } from '../trails/checks.ts';
import { saidOf, stands } from '../engine/complaint.ts';
import type { Belief, Weigher } from './belief.ts';
import { unshownShare } from './counting.ts';
import { sinceRepair } from './events.ts';
import { shows } from './presence.ts';
import { AT_ODDS_FROM, type Stray } from './suspects.ts';

/** What comes and goes may have been away when a reading was taken: it is taken again, at another time, so often. */
export const mayHavePassed = (complaint: Complaint, reading: Reading): boolean => shows(complaint, reading) < 1;
const TIMES_PASSING = 3;

/** Checks read since the last repair, of which another reading would be the same. */
export const readSince = ({ story }: Belief, complaint: Complaint): ReadonlySet<string> =>
  new Set(
    sinceRepair(story)
      .filter((r) => !mayHavePassed(complaint, r))
      .map((r) => r.checkId),
  );

/** A reading this likely to have missed its mark is worth taking once more. */
const REPEAT_FROM = 0.02;
const MOST_TIMES = 2;

/** From so much belief that the complaint is not there, the engine is tried as its owner would. */
const TRIED_FROM = 0.4;

/**
 * Checks that are not offered: done since the last repair, while the fault was there, or set aside. One whose reading
 * may be a slip of the probe is offered again.
 */
export function settled(belief: Belief, strays: readonly Stray[], complaint: Complaint): Set<string> {
  const stray = new Map(strays.map((r) => [r.readingId, r.chance]));
  const since = sinceRepair(belief.story).filter((r) => r.faultPresent !== 'no');
  const times = new Map<string, number>();
  for (const { checkId } of since) times.set(checkId, (times.get(checkId) ?? 0) + 1);
  const last = since.at(-1)?.checkId;
  const doubtful = (reading: Reading) =>
    ((stray.get(reading.id) ?? 0) > REPEAT_FROM && times.get(reading.checkId)! < MOST_TIMES) ||
    (mayHavePassed(complaint, reading) && times.get(reading.checkId)! < TIMES_PASSING && reading.checkId !== last);
  const done = new Set([...belief.story.aside, ...since.filter((r) => !doubtful(r)).map((r) => r.checkId)]);
  // Nothing put right yet: what it would do is what was complained of, unless that may not be there. And an engine that was
  // tried has no probe to slip.
  const asComplained = belief.story.repaired.size === 0 && unshownShare(belief) < TRIED_FROM;
  return asComplained || times.has(TRY_IT) ? done.add(TRY_IT) : done;
}

/** Where fuel may be running out of the carburettor: told so, or seen so and not mended since; looked at and dry, it is not. */
function leaksFuel(complaint: Complaint, story: Belief['story']): boolean {
  const last = sinceRepair(story)
    .filter((r) => r.checkId === DRIPS)
    .at(-1)?.value;
  if (last?.kind === 'word') return last.word === 'drips or runs';
  return saidOf(complaint).includes('floods') && story.repaired.size === 0;
}
const DRIPS = 'fuel-drips';
/** Checks for which it would have to run: of an engine that stands, all; of one that drips fuel, those that only listen and look. */
export function cannotBeAsked(checks: readonly Check[], complaint: Complaint, story: Belief['story']): string[] {
  const running = checks.filter((c) => c.state.key === 'run');
  if (story.repaired.size === 0 && stands(complaint)) return running.map((c) => c.id);
  const drips = checks.some((c) => c.id === DRIPS) && leaksFuel(complaint, story);
  return drips ? running.filter((c) => c.instrument === 'eyes').map((c) => c.id) : [];
}

/** Two readings of one meter nearer than this on the ruler say the same. */
const SAME = 0.1;
const saysTheSame = (check: Check, a: ReadingValue, b: ReadingValue): boolean => {
  const { dimension } = INSTRUMENTS[check.instrument];
  if (a.kind === 'number' && b.kind === 'number' && dimension)
    return Math.abs(toRuler(a.value, dimension) - toRuler(b.value, dimension)) < SAME;
  return a.kind === b.kind && (a.kind !== 'word' || a.word === (b as typeof a).word);
};

/** Whether a reading at odds with all the rest was taken again since the last repair, by a meter, and came out the same. */
export function oddTwice(weigher: Weigher, { story }: Belief, strays: readonly Stray[]): boolean {
  const odd = new Set(strays.filter((r) => r.chance > AT_ODDS_FROM).map((r) => r.readingId));
  const since = sinceRepair(story);
  return since.some((r) => {
    const check = weigher.check(r.checkId);
    if (!odd.has(r.id) || !check || check.instrument === 'eyes') return false;
    return since.some((o) => o.id !== r.id && o.checkId === r.checkId && saysTheSame(check, r.value, o.value));
  });
}
