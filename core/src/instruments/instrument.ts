import type { Dimension } from '../quantity/index.ts';
import type { Scene } from '../machine/scene.ts';
import type { Check } from '../machine/check.ts';
import type { ReadingValue } from '../schema/job.ts';
import type { InstrumentId } from './ids.ts';

/** What an instrument would show, before its own error. Numbers are SI; an open circuit is Infinity. */
export type Outcome =
  { kind: 'number'; value: number } | { kind: 'category'; shares: Readonly<Record<string, number>> };

/** One kind of instrument, one file. */
export interface Instrument {
  readonly id: InstrumentId;
  readonly label: string;
  /** Absent where it shows words instead of a number. */
  readonly dimension?: Dimension;
  /** Words it can show; a check may name its own. */
  readonly words?: readonly string[];
  /** Without leads that could touch nothing: a leaf, a can, an eye on a mark. Its slips lie anywhere. */
  readonly leadless?: true;
  /** Highest number it can show; beyond it stands OL. */
  readonly limit?: number;
  observe(scene: Scene, check: Check): Outcome;
  /** Standard deviation of its error at a true value, SI. */
  error(value: number): number;
}

/** What a meter shows while its leads touch nothing: OL where it has it, else nothing at all. None where it has no leads. */
export const untouched = ({ limit, leadless }: Instrument): Exclude<ReadingValue, { kind: 'word' }> | undefined =>
  leadless ? undefined : limit === undefined ? { kind: 'number', value: 0 } : { kind: 'open' };

/** From so many ohms on it is insulation: how many megohms, or OL, is a matter of damp, fingers and the meter. */
export const INSULATES_OHMS = 2e6;

/** A meter that shows a number is compared on this scale: linear near zero, relative above it. */
const SCALE: Readonly<Partial<Record<Dimension, number>>> = {
  voltage: 0.05,
  resistance: 0.2,
  length: 0.03e-3,
  capacitance: 5e-9,
  angle: 8,
  current: 0.3,
  speed: 15,
  pressure: 1500,
  volume: 15e-6,
  share: 0.05,
};
const rulerScale = (dimension: Dimension): number => SCALE[dimension] ?? 1;
/** Beyond this every figure lies at the end of the scale: what was stored once may be anything. */
const END_OF_SCALE = 1e15;
export const toRuler = (value: number, dimension: Dimension): number =>
  Math.asinh(Math.min(END_OF_SCALE, Math.max(-END_OF_SCALE, value / rulerScale(dimension))));
export const fromRuler = (u: number, dimension: Dimension): number => Math.sinh(u) * rulerScale(dimension);

/**
 * More than any instrument of a workshop shows, SI: a kilovolt meter with its probe, insulation in gigohms, a starter of
 * the largest engine. Judgement; a reading beyond it was never shown.
 */
const MOST_SHOWN: Readonly<Record<Dimension, number>> = {
  voltage: 100e3,
  resistance: 1e12,
  current: 10e3,
  capacitance: 1,
  inductance: 1e3,
  length: 100,
  angle: 3600,
  speed: 100e3,
  time: 1e7,
  pressure: 1e9,
  volume: 10,
  temperature: 5000,
  torque: 10_000,
  force: 10_000,
  turns: 1000,
  share: 100,
  ratio: 1e9,
};
export const canBeShown = (value: number, dimension: Dimension): boolean => Math.abs(value) <= MOST_SHOWN[dimension];
