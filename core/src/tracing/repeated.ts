import type { Check } from '../trails/checks.ts';
import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { ReadingValue } from '../schema/job.ts';
import { MEMBERS } from './ensemble.ts';
import { CAREFUL, hitting, misses, shownOf, unclaimed, type Hands, type Shown } from './likelihood.ts';
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
/** More than the last few before it say nothing new of a reading. */
export const MOST_TOGETHER = 5;

/** Density of a reading, given an earlier one of the same check that hit its mark as this one did; `afresh` without it. */
function again(check: Check, first: ReadingValue, next: ReadingValue, afresh: number): number {
  if (first.kind === 'word' && next.kind === 'word') return seenAgain(first.word === next.word, afresh);
  return shownAgain(check, first, next);
}
const seenAgain = (same: boolean, afresh: number): number => SEES_AGAIN * Number(same) + (1 - SEES_AGAIN) * afresh;
/** Of a meter: whatever the machine. */
function shownAgain(check: Check, first: ReadingValue, next: ReadingValue): number {
  if (first.kind !== 'number' || next.kind !== 'number') return first.kind === next.kind ? OPEN_AGAIN : 1 - OPEN_AGAIN;
  const instrument = INSTRUMENTS[check.instrument];
  const dimension = instrument.dimension ?? 'ratio';
  const at = (v: number) => toRuler(v, dimension);
  const own = (v: number) => (at(v + instrument.error(v)) - at(v - instrument.error(v))) / 2;
  const width = Math.hypot(own(first.value), own(next.value), PUT_BACK);
  const z = (at(next.value) - at(first.value)) / width;
  return Math.exp((-z * z) / 2) / (width * Math.sqrt(2 * Math.PI));
}

/** A reading and those of the same check before it, nothing having changed between; asked for one account after another. */
export class Repeated {
  private readonly shown: readonly Shown[];
  /** Density of each, given each before it; of looks it hangs on the account, and is not kept. */
  private readonly after: readonly (readonly (number | undefined)[])[];
  private readonly known = new WeakMap<Predicted, Float64Array>();

  /** `well` is the word that a sound machine shows. */
  constructor(
    check: Check,
    earlier: readonly ReadingValue[],
    value: ReadingValue,
    hands: Hands = CAREFUL,
    well?: string,
  ) {
    const values = [...earlier.slice(1 - MOST_TOGETHER), value];
    this.shown = values.map((v) => shownOf(check, v, hands, well));
    this.after = values.map((next, i) =>
      values
        .slice(0, i)
        .map((first) => (first.kind === 'word' && next.kind === 'word' ? undefined : shownAgain(check, first, next))),
    );
  }

  /** p(reading | member, and what the same check showed before), for each member. */
  of(predicted: Predicted): Float64Array {
    let each = this.known.get(predicted);
    if (!each) {
      each = Float64Array.from({ length: MEMBERS }, (_, m) => this.member(predicted, m));
      this.known.set(predicted, each);
    }
    return each;
  }

  private member(predicted: Predicted, member: number): number {
    const { shown } = this;
    const hits = shown.map((s) => hitting(s, predicted, member));
    const last = shown.length - 1;
    if (last === 0) return hits[0]! + shown[0]!.straying;
    return this.together(hits, last) / this.together(hits, last - 1);
  }

  /**
   * p(all of these readings, up to one | member). Each may have missed its mark by itself; those that did not share what
   * was amiss with the first of them: the same machine, the same lead, the same eye. Summed over which missed: over
   * which is the first that did not, for what comes after it then hangs on that one alone.
   */
  private together(hits: readonly number[], last: number): number {
    const { shown, after } = this;
    let sum = 0;
    let missedBefore = 1;
    for (let first = 0; first <= last; first++) {
      let p = missedBefore * hits[first]!;
      for (let i = first + 1; i <= last; i++) {
        const { missed, straying, value } = shown[i]!;
        const meant = hits[i]! / (1 - missed);
        const seen = after[i]![first] ?? seenAgain(sameWord(shown[first]!.value, value), meant);
        p *= straying + (1 - missed) * seen;
      }
      sum += p;
      missedBefore *= shown[first]!.straying;
    }
    return sum + missedBefore;
  }
}
const sameWord = (a: ReadingValue, b: ReadingValue): boolean =>
  a.kind === 'word' && b.kind === 'word' && a.word === b.word;

/** The same of what claims nothing about the machine: any reading is as likely as another, the second as the first. */
export function unclaimedAgain(
  check: Check,
  earlier: readonly ReadingValue[],
  value: ReadingValue,
  hands: Hands = CAREFUL,
  well?: string,
): number {
  const last = earlier.at(-1);
  const anywhere = unclaimed(check, value, well);
  const missed = misses(check, hands);
  return last === undefined ? anywhere : (1 - missed) * again(check, last, value, anywhere) + missed * anywhere;
}
