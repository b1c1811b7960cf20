import {
  bareUnit,
  formatBand,
  formatQuantity,
  fromSi,
  parseQuantity,
  unitBySymbol,
  wireSize,
  withHabit,
  type Dimension,
  type ParseResult,
  type Typing,
} from '@pondu/core';
import { habits } from './habits.ts';

/** A value in the unit of this shop, with sensible digits. */
export const showQuantity = (
  value: number,
  dimension: Dimension,
  options: { unit?: string; significant?: number } = {},
): string => formatQuantity(value, dimension, { ...options, habits: habits.inUse });

/** A band in the unit of this shop. */
export const showBand = (low: number, high: number, dimension: Dimension): string =>
  formatBand(low, high, dimension, habits.inUse);

/** What was typed, with the unit that a bare number means here. */
export const meant = (typed: string, dimension: Dimension, typing?: Typing): string =>
  withHabit(typed, dimension, habits.inUse, typing);

/** Reads what was typed; a bare number is in the unit of this shop. */
export const readQuantity = (typed: string, dimension: Dimension, typing?: Typing): ParseResult =>
  parseQuantity(meant(typed, dimension, typing), dimension);

/** The symbol of the unit that a bare number is in. */
export const bareSymbol = (dimension: Dimension, typing?: Typing): string =>
  bareUnit(dimension, habits.inUse, typing).symbol;
/** What a box asks for, with the unit of a bare number behind it: “Edge gap, mm”. */
export const labelled = (label: string, dimension: Dimension, typing?: Typing): string =>
  `${label}, ${bareSymbol(dimension, typing)}`;

/** So much petrol as this shop says it; cubic metres given. */
export const showTank = (cubicMetres: number): string =>
  formatQuantity(cubicMetres, 'volume', { unit: habits.inUse.tank });

/** A height above the sea as this shop says it; metres given. */
export const showHeight = (metres: number): string =>
  formatQuantity(metres, 'length', { unit: habits.inUse.height, significant: 4 });
/** A height that was typed: a bare number is in metres or feet, as the shop goes. */
export const readHeight = (typed: string): ParseResult => parseQuantity(typed, 'length', habits.inUse.height);
/** A height as its box holds it: a bare number in the shop's unit. */
export const typedHeight = (metres: number): string =>
  String(Number(fromSi(metres, unitBySymbol(habits.inUse.height)).toPrecision(7)));
export const heightLabelled = (label: string): string => `${label}, ${habits.inUse.height}`;

/** A wire by its cross-section or its gauge number. */
export const showWire = (squareMillimetres: number): string => wireSize(squareMillimetres, habits.inUse);
