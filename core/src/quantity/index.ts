export { parseQuantity, type ParseFailure, type ParseResult } from './parse.ts';
export { QUANTITIES, UNIT_CHOICES, type Quantity, type UnitHabits } from './unitChoices.ts';
export { bareUnit, habitUnit, mm2OfGauge, withHabit, wireSize, type Typing } from './habits.ts';
export { formatBand, formatQuantity, standsStill, symbolsOf } from './format.ts';
export { fromSi, INCH_METRES, preferredUnit, unitBySymbol, type Dimension, type UnitDef } from './units.ts';
