import type { Check } from '../trails/checks.ts';
import { fromRuler, INSTRUMENTS, INSULATES_OHMS, toRuler, type Outcome } from '../instruments/index.ts';
import { normalCdf } from '../random/lcg.ts';

/**
 * Kernel widths on the ruler: a fault of any severity is a continuum, of which the members are samples. Where they lie
 * far apart on either side, a few stand for decades.
 */
const WIDEST_KERNEL = 0.35;
const NEIGHBOUR_SHARE = 0.5;
/** Of what an open end picks up, the share under which a conductor is dead. */
const PICKS_UP_UNDER = 0.2;
/** Share of the tolerances' standard deviation, after Silverman's rule for this many members (1.06·n^−⅕ ≈ 0.7). */
const TOLERANCE_SHARE = 0.75;

/**
 * Predicted reading of each member: positions and kernel widths on the ruler, or shares of words. `open` is the chance
 * that the meter shows OL; `loose` is what a machine further off its plate than it should be may add to the width.
 */
export type Predicted =
  | { kind: 'number'; at: Float64Array; width: Float64Array; open: Float64Array; loose: number }
  | { kind: 'word'; shares: readonly Readonly<Record<string, number>>[] };

/** What a dead feed still shows on a meter of ten megohms, volts; from so many volts a place is a feed. Judgement. */
const DEAD_FEED = { shows: 0.08, from: 2 } as const;

/** What leads that find nothing may show of a check, by what it reads on a sound machine: SI. */
export function pickedUpBy(check: Check, sound: readonly Outcome[]): number {
  if (check.picksUp !== undefined) return check.picksUp;
  const fed = (o: Outcome) => o.kind === 'number' && Math.abs(o.value) > DEAD_FEED.from;
  return check.instrument === 'voltmeter' && sound.every(fed) ? DEAD_FEED.shows : 0;
}

/** What each member would read, as positions on the ruler with their kernels. `graded`: severity grows from member to member. */
export function predictedOf(check: Check, outcomes: readonly Outcome[], graded: boolean, picksUp = 0): Predicted {
  const instrument = INSTRUMENTS[check.instrument];
  const { dimension } = instrument;
  if (dimension === undefined)
    return { kind: 'word', shares: outcomes.map((o) => (o.kind === 'category' ? o.shares : {})) };
  const values = outcomes.map((o) => (o.kind === 'number' ? o.value : NaN));
  const insulation = values.map((v) => dimension === 'resistance' && v > INSULATES_OHMS);
  const most = instrument.limit ?? Infinity;
  // What shows OL may as well show some megohms.
  const shown = values.map((v, m) => (insulation[m] ? Math.min(v, most / 2) : v));
  const at = Float64Array.from(shown, (v) => (v < Infinity ? toRuler(v, dimension) : NaN));
  const meter = shown.map((v) => {
    if (!(v < Infinity)) return 0;
    // Whatever a dead end picks up lies anywhere below.
    const pickedUp = Math.abs(v) < PICKS_UP_UNDER * picksUp ? picksUp / 2 : 0;
    const error = Math.max(instrument.error(v), pickedUp);
    return (toRuler(v + error, dimension) - toRuler(v - error, dimension)) / 2;
  });
  const tolerance = graded ? roughness(at) : spread(at);
  const width = kernels(at, meter, tolerance, graded);
  // A reading near the end of the meter's range is OL on some days and a number on others.
  const limit = instrument.limit === undefined ? Infinity : toRuler(instrument.limit, dimension);
  const open = at.map((u, m) => {
    if (insulation[m]) return values[m]! > most ? OPEN_SHOWN : MEGOHMS_OPEN;
    return Number.isNaN(u) ? Number(values[m] === Infinity) : normalCdf((u - limit) / width[m]!);
  });
  insulation.forEach((is, m) => {
    if (is) width[m] = Math.max(width[m]!, MEGOHMS_WIDE);
  });
  return { kind: 'number', at, width, open, loose: Math.min(WIDEST_KERNEL, tolerance) };
}

/** How far apart sound ones of one machine read, beside what their plates and the meter say, of the ruler. Judgement. */
const LIKE_ONES = 0.02;

/**
 * What a check would read where its fellow on the same machine has read so much: as far above or below it as this machine
 * has them apart. What lifts both alike, from the ratio to how fast it was turned, is in the fellow's reading already.
 */
export function besideFellow(check: Check, own: Predicted, fellow: Predicted, read: number): Predicted {
  const instrument = INSTRUMENTS[check.instrument];
  const { dimension } = instrument;
  if (own.kind !== 'number' || fellow.kind !== 'number' || dimension === undefined) return own;
  const from = toRuler(read, dimension);
  const at = own.at.map((u, m) => Math.max(0, u - fellow.at[m]! + from));
  const errorAt = (v: number) =>
    (toRuler(v + instrument.error(v), dimension) - toRuler(v - instrument.error(v), dimension)) / 2;
  const meter = Array.from(at, (u) =>
    Number.isNaN(u) ? 0 : Math.hypot(errorAt(fromRuler(u, dimension)), errorAt(read), LIKE_ONES),
  );
  const tolerance = roughness(at);
  const width = kernels(at, meter, tolerance, true);
  return { kind: 'number', at, width, open: own.open, loose: Math.min(WIDEST_KERNEL, tolerance) };
}

/** Insulation: how often it shows OL where it has none to measure, and where it has megohms; how wide those scatter. */
const OPEN_SHOWN = 0.92;
export const MEGOHMS_OPEN = 0.5;
const MEGOHMS_WIDE = 0.8;

/** So near on the ruler, or in the share of a word, that no reading tells two members apart. */
const NEAR = 0.002;

/** Whether a member would read as another one does. */
export function alike(check: Check, one: Outcome, other: Outcome): boolean {
  if (one.kind === 'number' && other.kind === 'number') {
    if (one.value === other.value) return true;
    const { dimension } = INSTRUMENTS[check.instrument];
    return dimension !== undefined && Math.abs(toRuler(one.value, dimension) - toRuler(other.value, dimension)) <= NEAR;
  }
  if (one.kind !== 'category' || other.kind !== 'category') return false;
  for (const word in one.shares) if (Math.abs(one.shares[word]! - (other.shares[word] ?? 0)) > NEAR) return false;
  for (const word in other.shares) if (!(word in one.shares) && other.shares[word]! > NEAR) return false;
  return true;
}

const spread = (at: Float64Array): number => {
  const values = at.filter((u) => !Number.isNaN(u));
  if (values.length < 2) return 0;
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  return Math.sqrt(values.reduce((sum, u) => sum + (u - mean) ** 2, 0) / (values.length - 1));
};

/**
 * Spread that tolerances alone give a reading whose severity grows from member to member: how far each lies off the
 * line between its neighbours, as a standard deviation (median × 1.48, and √⅔ for the neighbours' own share).
 */
function roughness(at: Float64Array): number {
  const off: number[] = [];
  for (let m = 1; m < at.length - 1; m++) {
    const gap = Math.abs(at[m]! - (at[m - 1]! + at[m + 1]!) / 2);
    if (!Number.isNaN(gap)) off.push(gap);
  }
  off.sort((a, b) => a - b);
  return off.length ? 1.48 * Math.sqrt(2 / 3) * off[off.length >> 1]! : spread(at);
}

/** Each member's kernel: the meter's error, widened for tolerances and to bridge the distance to its neighbours. */
function kernels(at: Float64Array, meter: readonly number[], tolerance: number, graded: boolean): Float64Array {
  const order = [...at.keys()].filter((i) => !Number.isNaN(at[i]!)).sort((a, b) => at[a]! - at[b]!);
  const width = new Float64Array(at.length);
  order.forEach((member, rank) => {
    const below = at[order[Math.max(0, rank - 1)]!]!;
    const above = at[order[Math.min(order.length - 1, rank + 1)]!]!;
    const own = at[member]!;
    const bridge = Math.max(NEIGHBOUR_SHARE * ((above - below) / 2), TOLERANCE_SHARE * tolerance);
    const widest = Math.max(WIDEST_KERNEL, graded ? NEIGHBOUR_SHARE * Math.min(above - own, own - below) : 0);
    width[member] = Math.hypot(meter[member]!, Math.min(widest, bridge), 0.004);
  });
  return width;
}
