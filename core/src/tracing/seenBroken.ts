import type { Belief, Weigher } from './belief.ts';
import type { Found } from './found.ts';
import { liesBehind } from './linked.ts';
import type { ModelRepair } from './model.ts';
import type { RepairShare, Verdict } from './verdict.ts';

/** What is seen broken is put right from this share on. */
const SEEN_FROM = 0.85;
/** What costs next to nothing and is soon done is done a little sooner: a belt that is slack, a hose that is off. */
const SOON_DONE = { minutes: 10, money: 1, from: 0.6 } as const;
const soonDone = ({ minutes, money }: ModelRepair): boolean => minutes <= SOON_DONE.minutes && money <= SOON_DONE.money;

/**
 * Surely there and soon done, it is put right although it may not be the whole reason: what is measured with it there
 * means little.
 */
const SURELY_THERE = { present: 0.9, blamed: 0.3 } as const;

/** Any other repair that is as likely as this is asked about first, where a meter has shown it and no eye. */
const RIVAL = 0.07;

/** Belief that what a repair is for is there, whether or not it is to blame. */
const presentShare = ({ weighed }: Belief, { repair }: RepairShare): number =>
  weighed.reduce((sum, w) => sum + (w.remaining.some((f) => f.repairId === repair.id) ? w.mass : 0), 0);

/**
 * What stands beside the likeliest on its trail, was found at the part itself and costs nothing but minutes: leads that
 * are swapped, a gap that is far off. Nobody measures on round it.
 */
const AT_ONCE = { minutes: 15, money: 1 } as const;
function besideIt(
  weigher: Weigher,
  belief: Belief,
  shares: readonly RepairShare[],
  best: RepairShare,
  foundIn: () => readonly Found[],
): RepairShare | undefined {
  const { trailOf } = weigher.model.machine;
  const trail = trailOf.get(best.repair.part.id);
  return shares.find(
    (s) =>
      s !== best &&
      s.repair.minutes <= AT_ONCE.minutes &&
      s.repair.money <= AT_ONCE.money &&
      trailOf.get(s.repair.part.id) === trail &&
      presentShare(belief, s) >= SURELY_THERE.present &&
      foundIn().some((f) => f.fault.repairId === s.repair.id),
  );
}

/**
 * A cracked plug, a burnt rotor: what eyes found at the part itself, costs little and is soon done is put right whatever
 * else is thought. The engine is tried then; tracing on beside it would only measure it again.
 */
const PLAIN = { minutes: 15, money: 10, present: 0.7 } as const;
/** What lies behind the likeliest may cost a little more: a bypassed ballast goes before the points that it burns. */
const PLAIN_BEHIND = { minutes: 20, money: 20 } as const;
const within = ({ minutes, money }: ModelRepair, most: { minutes: number; money: number }): boolean =>
  minutes <= most.minutes && money <= most.money;
function plainToSee(
  weigher: Weigher,
  belief: Belief,
  shares: readonly RepairShare[],
  foundIn: () => readonly Found[],
): RepairShare | undefined {
  const first = shares[0];
  const cheap = shares
    .filter(
      ({ repair }) =>
        within(repair, PLAIN) ||
        (first && within(repair, PLAIN_BEHIND) && liesBehind(weigher.model, repair.id, first.repair.id)),
    )
    .filter((s) => presentShare(belief, s) >= PLAIN.present);
  if (cheap.length === 0) return undefined;
  const byEye = foundIn().filter((f) => {
    const reading = belief.story.readings.find((r) => r.reading.id === f.readingId)?.reading;
    const check = reading && weigher.check(reading.checkId);
    // A remark in passing is no look at the part.
    return check?.instrument === 'eyes' && !check.elective;
  });
  return cheap.find((s) => byEye.some((f) => f.fault.repairId === s.repair.id));
}

/**
 * What eyes have found and belief holds guilty is put right in any case: asking more only costs minutes. So is what a
 * meter has shown of that part alone, unless another repair stands out beside it and being wrong is expected to cost
 * more than the next check does.
 */
export function seenBroken(
  weigher: Weigher,
  belief: Belief,
  shares: readonly RepairShare[],
  dearFrom: number,
  foundIn: () => readonly Found[],
  nextCosts: number,
): Verdict | undefined {
  const [best, second] = shares;
  const beside = best && besideIt(weigher, belief, shares, best, foundIn);
  const plain = beside ?? plainToSee(weigher, belief, shares, foundIn);
  if (plain) return { kind: 'fix', repair: plain.repair, share: plain.share, why: 'seen' };
  if (!best || best.repair.money >= dearFrom) return undefined;
  const there =
    soonDone(best.repair) && best.share >= SURELY_THERE.blamed && presentShare(belief, best) >= SURELY_THERE.present;
  if (!there && best.share < (soonDone(best.repair) ? SOON_DONE.from : SEEN_FROM)) return undefined;
  const found = foundIn().find((f) => f.fault.repairId === best.repair.id);
  const check = found && belief.story.readings.find((r) => r.reading.id === found.readingId)?.reading.checkId;
  if (check === undefined) return undefined;
  const byEye = weigher.check(check)?.instrument === 'eyes';
  const alone = (second?.share ?? 0) < RIVAL;
  return there || byEye || alone || (1 - best.share) * best.cost <= nextCosts
    ? { kind: 'fix', repair: best.repair, share: best.share, why: 'seen' }
    : undefined;
}
