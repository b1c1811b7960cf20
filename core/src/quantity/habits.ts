import type { UnitHabits } from './unitChoices.ts';
import { INCH_METRES, preferredUnit, unitBySymbol, type Dimension, type UnitDef } from './units.ts';

/** From a tenth of an inch on nobody counts in thousandths. */
const INCHES_FROM = INCH_METRES / 10;

/** The unit in which a shop says a value of this dimension; `below` for what is measured as vacuum. */
export function habitUnit(dimension: Dimension, habits: UnitHabits, value: number, below = value < 0): UnitDef {
  switch (dimension) {
    case 'length':
      if (habits.length !== 'thou') return unitBySymbol(habits.length);
      return unitBySymbol(Math.abs(value) < INCHES_FROM ? 'thou' : 'in');
    case 'pressure':
      return unitBySymbol(below ? habits.vacuum : habits.pressure);
    case 'temperature':
      return unitBySymbol(habits.temperature);
    case 'volume':
      return unitBySymbol(habits.volume);
    case 'torque':
      return unitBySymbol(habits.torque);
    default:
      return preferredUnit(dimension);
  }
}

const BARE = /^\s*[-+−]?(?:\d+(?:[.,]\d*)?|[.,]\d+|\d+\s*\/\s*\d+)\s*$/;
/** Where a shop counts in thousandths, a number below one is in inches: .015 and 15 are the same gap. */
const numberOf = (bare: string): number => {
  const [top, bottom] = bare.replace(',', '.').replace('−', '-').split('/');
  return bottom === undefined ? Number(top) : Number(top) / Number(bottom);
};

/** Of what a bare number is typed: a vacuum, something far longer than a gap, a tankful. */
export interface Typing {
  readonly below?: boolean;
  readonly long?: boolean;
  readonly tank?: boolean;
}

/** The unit in which a shop means a bare number; of a gap below one inch, `number` tells thousandths from inches. */
export function bareUnit(
  dimension: Dimension,
  habits: UnitHabits,
  { below, long, tank }: Typing = {},
  number = 1,
): UnitDef {
  if (tank) return unitBySymbol(habits.tank);
  if (dimension !== 'length' || habits.length !== 'thou') return habitUnit(dimension, habits, 1, below ?? false);
  return unitBySymbol(long || Math.abs(number) < 1 ? 'in' : 'thou');
}

/**
 * What was typed with the unit that this shop means by a bare number, so that it is kept as it was meant; as it is where
 * it has a unit, or where a bare number is read alike everywhere.
 */
export function withHabit(typed: string, dimension: Dimension, habits: UnitHabits, typing: Typing = {}): string {
  if (!BARE.test(typed)) return typed;
  const { symbol } = bareUnit(dimension, habits, typing, numberOf(typed));
  return symbol === preferredUnit(dimension).symbol ? typed : `${typed.trim()} ${symbol}`;
}

const AWG_BASE_MM = 0.127;
const AWG_RATIO = 92;
const AWG_STEPS = 39;
const AWG_AT_BASE = 36;
/**
 * A wire's cross-section as it is bought: square millimetres, or the next thicker gauge number, whose diameter is
 * 0.127·92^((36−n)/39) mm. Behind 1 come 1/0 to 4/0.
 */
export function wireSize(squareMillimetres: number, habits: UnitHabits): string {
  if (habits.wire === 'mm²') return `${Number(squareMillimetres.toFixed(2))} mm²`;
  const diameter = Math.sqrt((4 * squareMillimetres) / Math.PI);
  const exact = AWG_AT_BASE - (AWG_STEPS * Math.log(diameter / AWG_BASE_MM)) / Math.log(AWG_RATIO);
  // What is a hair thinner by rounding alone is the same wire.
  const n = Math.floor(exact + 0.05);
  return n > 0 ? `${n} AWG` : `${1 - n}/0 AWG`;
}
/** Square millimetres of a gauge number; 0 is 1/0, −1 is 2/0 and so on. */
export const mm2OfGauge = (n: number): number =>
  (Math.PI / 4) * (AWG_BASE_MM * AWG_RATIO ** ((AWG_AT_BASE - n) / AWG_STEPS)) ** 2;
