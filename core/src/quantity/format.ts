import type { UnitHabits } from './unitChoices.ts';
import { habitUnit } from './habits.ts';
import { fromSi, UNITS, preferredUnit, unitBySymbol, type Dimension, type UnitDef } from './units.ts';

/** Units a value may be shown in, largest first; the first that leaves at least 1 before the point is used. */
const SHOWN: Readonly<Partial<Record<Dimension, readonly string[]>>> = {
  voltage: ['kV', 'V', 'mV'],
  resistance: ['MΩ', 'kΩ', 'Ω'],
  current: ['A', 'mA'],
  capacitance: ['µF', 'nF', 'pF'],
};
/** Below this many volts a meter is read in millivolts; likewise amperes. Drops of 0.2 V stay in volts. */
const STAY_FROM: Readonly<Record<string, number>> = { V: 0.1, A: 0.1, kV: 2000, µF: 0.01e-6 };

function pickUnit(value: number, dimension: Dimension, habits?: UnitHabits): UnitDef {
  if (habits && !SHOWN[dimension]) return habitUnit(dimension, habits, value);
  const size = Math.abs(value);
  for (const symbol of SHOWN[dimension] ?? []) {
    const unit = unitBySymbol(symbol);
    if (size >= (STAY_FROM[symbol] ?? unit.factor)) return unit;
  }
  return size === 0 ? preferredUnit(dimension) : smallest(dimension);
}

function smallest(dimension: Dimension): UnitDef {
  const symbols = SHOWN[dimension];
  return symbols ? unitBySymbol(symbols[symbols.length - 1] ?? '') : preferredUnit(dimension);
}

function digitsOf(value: number, significant: number): string {
  if (value === 0) return '0';
  const places = significant - 1 - Math.floor(Math.log10(Math.abs(value)));
  const rounded = value.toFixed(Math.min(6, Math.max(0, places)));
  return rounded.includes('.') ? rounded.replace(/\.?0+$/, '') : rounded;
}

/** Below one turn a minute nothing turns. */
const TURNS_FROM = 1;
const STANDS = 'stands still';
export const standsStill = (value: number, dimension: Dimension): boolean =>
  dimension === 'speed' && Math.abs(value) < TURNS_FROM;

/**
 * Shows an SI value with sensible digits: 12.6 V, 85 mV, 4.7 kΩ, OL. `significant` is 3 unless given;
 * volts from 10 up keep one decimal, as a meter shows them. The minus sign is a real one.
 */
export function formatQuantity(
  value: number,
  dimension: Dimension,
  options: { unit?: string; significant?: number; habits?: UnitHabits } = {},
): string {
  if (value === Infinity) return 'OL';
  if (Number.isNaN(value)) return '—';
  if (standsStill(value, dimension)) return STANDS;
  const unit = options.unit === undefined ? pickUnit(value, dimension, options.habits) : unitBySymbol(options.unit);
  const text = digitsOf(fromSi(value, unit), options.significant ?? 3).replace('-', '−');
  const tight = unit.symbol === '°' || unit.symbol === '';
  return tight ? text + unit.symbol : `${text} ${unit.symbol}`;
}

/** A band this wide is not known to three digits. */
const WIDE_BAND = 1.5;

/** 4.5–5.5 Ω; both ends in one unit, two digits where the band is wide. */
export function formatBand(low: number, high: number, dimension: Dimension, habits?: UnitHabits): string {
  const one = (value: number) => formatQuantity(value, dimension, habits ? { habits } : {});
  if (high === Infinity) return `over ${one(low)}`;
  const unit = pickUnit(Math.abs(low) > Math.abs(high) ? low : high, dimension, habits);
  if (standsStill(high, dimension)) return STANDS;
  if (low === high) return one(low);
  const [small, large] = [Math.min(Math.abs(low), Math.abs(high)), Math.max(Math.abs(low), Math.abs(high))];
  const digits = low * high <= 0 || large > WIDE_BAND * small ? 2 : 3;
  const show = (v: number) => digitsOf(fromSi(v, unit), digits).replace('-', '−');
  // A dash between two minus signs is not read.
  const between = low < 0 ? ' to ' : '–';
  return `${show(low)}${between}${show(high)}${unit.symbol === '°' ? '' : ' '}${unit.symbol}`.trim();
}

/** All symbols a box for this dimension may show. */
export const symbolsOf = (dimension: Dimension): string[] =>
  UNITS.filter((u) => u.dimension === dimension).map((u) => u.symbol);
