import type { Belief } from './belief.ts';
import type { Found } from './found.ts';
import type { ModelRepair } from './model.ts';
import type { RepairShare, Verdict } from './verdict.ts';

/** What is seen broken is put right from this share on. */
const SEEN_FROM = 0.85;
/** What costs next to nothing and is soon done is done a little sooner: a belt that is slack, a hose that is off. */
const SOON_DONE = { minutes: 10, money: 1, from: 0.6 } as const;
const seenFrom = ({ minutes, money }: ModelRepair): number =>
  minutes <= SOON_DONE.minutes && money <= SOON_DONE.money ? SOON_DONE.from : SEEN_FROM;

/** What was found at the part itself, by eye or by meter, and belief holds guilty is put right in any case: asking more only costs minutes. */
export function seenBroken(
  { story }: Belief,
  best: RepairShare | undefined,
  dearFrom: number,
  foundIn: () => readonly Found[],
): Verdict | undefined {
  if (!best || best.share < seenFrom(best.repair) || best.repair.money >= dearFrom) return undefined;
  const found = foundIn().find((f) => f.fault.repairId === best.repair.id);
  return found && story.readings.some((r) => r.reading.id === found.readingId)
    ? { kind: 'fix', repair: best.repair, share: best.share, why: 'seen' }
    : undefined;
}
