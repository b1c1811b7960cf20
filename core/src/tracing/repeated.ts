import type { Check } from '../trails/checks.ts';
import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { ReadingValue } from '../schema/job.ts';
import { CAREFUL, likelihood, misses, unclaimed, type Hands } from './likelihood.ts';
import type { Predicted } from './prediction.ts';

/**
 * Share of looks again at what has not changed that see what was seen before, right or wrong; the others look afresh.
 * Judgement: what one eye missed it mostly misses again.
 */
export const SEES_AGAIN = 0.6;
/** A meter that showed OL does so again. */
const OPEN_AGAIN = 0.97;
/** A meter that is put back shows the same within its own error and this much of the ruler. */
const PUT_BACK = 0.02;
/** More than the last few of one check say nothing new. */
const MOST_TOGETHER = 5;

/** Density of a reading, given an earlier one of the same check that hit its mark as this one did; `afresh` without it. */
function again(check: Check, first: ReadingValue, next: ReadingValue, afresh: number): number {
  if (first.kind === 'word' && next.kind === 'word')
    return SEES_AGAIN * Number(first.word === next.word) + (1 - SEES_AGAIN) * afresh;
  if (first.kind !== 'number' || next.kind !== 'number') return first.kind === next.kind ? OPEN_AGAIN : 1 - OPEN_AGAIN;
  const instrument = INSTRUMENTS[check.instrument];
  const dimension = instrument.dimension ?? 'ratio';
  const at = (v: number) => toRuler(v, dimension);
  const own = (v: number) => (at(v + instrument.error(v)) - at(v - instrument.error(v))) / 2;
  const width = Math.hypot(own(first.value), own(next.value), PUT_BACK);
  const z = (at(next.value) - at(first.value)) / width;
  return Math.exp((-z * z) / 2) / (width * Math.sqrt(2 * Math.PI));
}

/**
 * p(all of these readings of one check | member). Each may have missed its mark by itself; those that did not share
 * what was amiss with the first of them: the same machine, the same lead, the same eye. Summed over which missed.
 */
function together(
  check: Check,
  predicted: Predicted,
  values: readonly ReadingValue[],
  member: number,
  hands: Hands,
): number {
  const hits = 1 - misses(check, hands);
  const own = values.map((v) => likelihood(check, predicted, v, member, hands));
  let sum = 0;
  for (let hit = 0; hit < 1 << values.length; hit++) {
    let p = 1;
    let first: ReadingValue | undefined;
    values.forEach((value, i) => {
      const { total, straying } = own[i]!;
      if (!(hit & (1 << i))) p *= straying;
      else if (first === undefined) [p, first] = [p * (total - straying), value];
      else p *= hits * again(check, first, value, (total - straying) / hits);
    });
    sum += p;
  }
  return sum;
}

/** p(reading | member, and what the same check showed before), nothing having changed between. */
export function repeated(
  check: Check,
  predicted: Predicted,
  earlier: readonly ReadingValue[],
  value: ReadingValue,
  member: number,
  hands: Hands = CAREFUL,
): number {
  const before = earlier.slice(1 - MOST_TOGETHER);
  if (before.length === 0) return likelihood(check, predicted, value, member, hands).total;
  return (
    together(check, predicted, [...before, value], member, hands) / together(check, predicted, before, member, hands)
  );
}

/** The same of what claims nothing about the machine: any reading is as likely as another, the second as the first. */
export function unclaimedAgain(
  check: Check,
  earlier: readonly ReadingValue[],
  value: ReadingValue,
  hands: Hands = CAREFUL,
): number {
  const last = earlier.at(-1);
  const anywhere = unclaimed(check, value);
  const missed = misses(check, hands);
  return last === undefined ? anywhere : (1 - missed) * again(check, last, value, anywhere) + missed * anywhere;
}
