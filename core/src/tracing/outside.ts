import type { Check } from '../trails/checks.ts';
import type { Complaint, Reading } from '../schema/job.ts';
import { saidOf } from '../engine/complaint.ts';
import { byCheck, type PlacedReading, type Story } from './events.ts';
import { OUTSIDE } from './hypotheses.ts';
import { HANDS, type Hands } from './likelihood.ts';
import { logSum } from './logs.ts';
import { unclaimedAgain } from './repeated.ts';

/**
 * Share of checks whose reading something that no trail knows has changed, and anyhow; the others read as on a sound
 * machine. What a known fault would read exactly so is that fault, not something unknown that happens to. Judgement.
 */
const TOUCHED = 0.25;
/** What the engine does as a whole it may do for a reason that nobody knows. */
export const touchedShare = (check: Check): number => (check.whole ? 1 : TOUCHED);
/** p(complaint) from something that no trail knows. */
const UNKNOWN_EXPLAINS = 0.25;

export const values = (readings: readonly Reading[]) => readings.map((r) => r.value);

/**
 * log p(readings, complaint, something that no trail knows). `complained` is log p(complaint) by all that the trails know:
 * what none of them knows explains two symptoms no better than it would each of them, and a rare complaint no better than
 * all that is known does; it is no likelier for being seldom asked about.
 */
export function outsideLog(
  story: Story,
  complaint: Complaint,
  complained: number,
  checkOf: (id: string) => Check | undefined,
  soundly: (placed: PlacedReading, check: Check, hands: Hands) => number,
  wellOf: (check: Check) => string | undefined,
): number {
  const explains = Math.min(saidOf(complaint).length * Math.log(UNKNOWN_EXPLAINS), complained);
  const prior = Math.log(OUTSIDE) + explains;
  const asked = byCheck(story, checkOf);
  return logSum(
    HANDS.map((hands) => {
      let log = prior + Math.log(hands.share);
      // One check it has touched or not, however often that was read.
      for (const { check, all } of asked) {
        const well = wellOf(check);
        const any = all.reduce((p, r) => p * unclaimedAgain(check, values(r.earlier), r.reading.value, hands, well), 1);
        const sound = all.reduce((p, placed) => p * soundly(placed, check, hands), 1);
        const touched = touchedShare(check);
        log += Math.log(touched * any + (1 - touched) * sound);
      }
      return log;
    }),
  );
}
