export { parseQuantity, type ParseFailure, type ParseResult } from './parse.ts';
export { formatBand, formatQuantity, standsStill, symbolsOf } from './format.ts';
export { INCH_METRES, preferredUnit, unitBySymbol, type Dimension, type UnitDef } from './units.ts';
