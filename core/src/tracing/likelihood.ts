import type { Check } from '../trails/checks.ts';
import { INSTRUMENTS, toRuler, untouched } from '../instruments/index.ts';
import type { Dimension } from '../quantity/index.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { Predicted } from './prediction.ts';

/**
 * How this job's readings are taken, and how far this machine lies off its plates: nobody tells, so it is judged along
 * with the faults. A few levels stand for all.
 */
export interface Hands {
  /** Share of readings that are something else altogether: wrong terminal, wrong range, a slipped probe. */
  readonly misprobe: number;
  /** The same of what is looked at: the eye is on the part itself, and that it overlooks things is its check's own. */
  readonly mistold: number;
  /** The same of a leaf in a gap, a can, a light on a mark: a figure that is far off, not by a leaf or a degree. */
  readonly misread: number;
  /** Share of figures that lie further off their plate than tolerances allow, and by how much of the ruler at least. */
  readonly unlike: number;
  readonly further: number;
  /** How many jobs are like that. */
  readonly share: number;
}
export const CAREFUL: Hands = { misprobe: 0.03, mistold: 0.006, misread: 0.0015, unlike: 0.1, further: 0, share: 0.92 };
const CLUMSY: Hands = { misprobe: 0.12, mistold: 0.1, misread: 0.02, unlike: 0.3, further: 0.35, share: 0.08 };
export const HANDS: readonly Hands[] = [CAREFUL, CLUMSY];

/** Share of the readings of a check that miss their mark; without leads none touches the wrong terminal. */
export const misses = (check: Check, hands: Pick<Hands, 'misprobe' | 'mistold' | 'misread'> = CAREFUL): number => {
  if (check.instrument === 'eyes') return hands.mistold;
  return INSTRUMENTS[check.instrument].leadless ? hands.misread : hands.misprobe;
};
/** Where such a reading may land: evenly over the ruler, this wide, or OL. */
const RULER_WIDTH: Readonly<Partial<Record<Dimension, number>>> = {
  voltage: 12,
  resistance: 20,
  length: 6,
  capacitance: 8,
};
const STRAY_OPEN = 0.15;
/** Share of such readings in which the leads touch nothing: OL on a meter that has it, else nothing at all. */
export const TOUCHES_NOTHING = 0.6;
/** How near zero "nothing" is, on the ruler. */
const NEAR_NOTHING = 0.2;

export const rulerWidth = (dimension: Dimension): number => RULER_WIDTH[dimension] ?? 10;

/**
 * What a hypothesis that claims nothing says of any reading: all of the ruler alike, all that an engine may do. A part
 * that is looked at mostly looks as on a sound machine, `well`, whatever is wrong elsewhere.
 */
export function unclaimed(check: Check, value: ReadingValue, well?: string): number {
  if (value.kind === 'word') {
    return mistoldShare(check.words?.length ?? 3, value.word, check.whole ? undefined : well);
  }
  if (value.kind === 'open') return STRAY_OPEN;
  return 1 / rulerWidth(INSTRUMENTS[check.instrument].dimension ?? 'ratio');
}

/**
 * Of looks that are told wrongly, those that say what a sound machine shows: eyes overlook what is there far oftener than
 * they see what is not. Judgement.
 */
const OVERLOOKS = 0.8;
/** Where what missed its mark lands, by word; `well` is what a sound machine shows, where eyes look at it. */
export const mistoldShare = (words: number, word: string, well: string | undefined): number => {
  if (well === undefined || words < 2) return 1 / words;
  return word === well ? OVERLOOKS : (1 - OVERLOOKS) / (words - 1);
};

/** Likelihood of a reading that missed its mark: mostly the leads touch nothing, else it is anywhere. */
function stray(check: Check, value: ReadingValue, well: string | undefined): number {
  if (value.kind === 'word') return mistoldShare(check.words?.length ?? 3, value.word, well);
  const anywhere = unclaimed(check, value);
  const instrument = INSTRUMENTS[check.instrument];
  const { dimension } = instrument;
  if (dimension === undefined) return anywhere;
  const blank = untouched(instrument);
  if (!blank) return anywhere;
  const near = () => (value.kind === 'number' ? density(toRuler(value.value, dimension), 0, NEAR_NOTHING) : 0);
  const nothing = blank.kind === 'open' ? Number(value.kind === 'open') : near();
  return TOUCHES_NOTHING * nothing + (1 - TOUCHES_NOTHING) * anywhere;
}

/** Only words that the check itself can show: a stored one may be anything. */
const share = (shares: Readonly<Record<string, number>>, word: string): number =>
  Object.hasOwn(shares, word) ? shares[word]! : 0;

/** A reading with what does not hang on the account that is asked about it: where it lies on the ruler, how it strays. */
export interface Shown {
  readonly value: ReadingValue;
  /** Of a number. */
  readonly at: number;
  readonly missed: number;
  readonly straying: number;
  readonly hands: Hands;
}
/** `well` is the word that a sound machine shows. */
export function shownOf(check: Check, value: ReadingValue, hands: Hands = CAREFUL, well?: string): Shown {
  const dimension = INSTRUMENTS[check.instrument].dimension ?? 'ratio';
  const missed = misses(check, hands);
  return {
    value,
    at: value.kind === 'number' ? toRuler(value.value, dimension) : NaN,
    missed,
    straying: missed * stray(check, value, well),
    hands,
  };
}

function meant({ value, at: shown, hands }: Shown, predicted: Predicted, member: number): number {
  if (predicted.kind === 'word') return value.kind === 'word' ? share(predicted.shares[member]!, value.word) : 0;
  if (value.kind === 'open') return predicted.open[member]!;
  const at = predicted.at[member]!;
  if (value.kind !== 'number' || Number.isNaN(at)) return 0;
  const width = predicted.width[member]!;
  const near = (1 - hands.unlike) * density(shown, at, width);
  const further = hands.unlike * density(shown, at, Math.hypot(width, predicted.loose, hands.further));
  return (1 - predicted.open[member]!) * (near + further);
}

function density(at: number, mean: number, width: number): number {
  const z = (at - mean) / width;
  return Math.exp((-z * z) / 2) / (width * Math.sqrt(2 * Math.PI));
}

/** p(reading that hit its mark | member). */
export const hitting = (shown: Shown, predicted: Predicted, member: number): number =>
  (1 - shown.missed) * meant(shown, predicted, member);

/** p(reading | member), with the heavy tail; `straying` is the part of it that the tail explains. */
export function likelihood(check: Check, predicted: Predicted, value: ReadingValue, member: number, hands = CAREFUL) {
  const shown = shownOf(check, value, hands);
  return { total: hitting(shown, predicted, member) + shown.straying, straying: shown.straying };
}
