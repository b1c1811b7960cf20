import type { Check } from '../trails/checks.ts';
import type { Complaint, Reading } from '../schema/job.ts';
import { saidOf } from '../engine/complaint.ts';
import type { Story } from './events.ts';
import { SHARES } from './hypotheses.ts';
import { HANDS } from './likelihood.ts';
import { logSum } from './logs.ts';
import { unclaimedAgain } from './repeated.ts';

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
): number {
  const explains = Math.min(saidOf(complaint).length * Math.log(UNKNOWN_EXPLAINS), complained);
  const prior = Math.log(SHARES.outside) + explains;
  return logSum(
    HANDS.map((hands) => {
      let log = prior + Math.log(hands.share);
      for (const { reading, earlier } of story.readings) {
        const check = checkOf(reading.checkId);
        if (check) log += Math.log(unclaimedAgain(check, values(earlier), reading.value, hands));
      }
      return log;
    }),
  );
}
