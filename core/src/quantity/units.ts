/** What kind of thing a number measures. Inside the core every value is in the SI unit named here. */
export type Dimension =
  | 'voltage' // V
  | 'resistance' // ohm
  | 'current' // A
  | 'capacitance' // F
  | 'inductance' // H
  | 'length' // m
  | 'angle' // degree
  | 'speed' // rev/min
  | 'time' // s
  | 'pressure' // Pa, against the air outside
  | 'volume' // m³
  | 'temperature' // degree Celsius
  | 'torque' // N m
  | 'force' // N
  | 'turns' // turn of a screw
  | 'share' // of one
  | 'ratio'; // plain number

export interface UnitDef {
  /** As shown. */
  readonly symbol: string;
  readonly dimension: Dimension;
  /** One of this unit in the SI unit of its dimension. */
  readonly factor: number;
  /** Where this unit's nought stands, in the SI unit of its dimension; nothing where both begin alike. */
  readonly nought?: number;
  /** What people type for it, lower case unless the case matters. */
  readonly typed: readonly string[];
}

export const INCH_METRES = 25.4e-3;

const unit = (symbol: string, dimension: Dimension, factor: number, ...typed: string[]): UnitDef => ({
  symbol,
  dimension,
  factor,
  typed,
});

/** Spellings are tried exactly first (so mΩ and MΩ differ), then in lower case. */
export const UNITS: readonly UnitDef[] = [
  unit('V', 'voltage', 1, 'V', 'v', 'volt', 'volts'),
  unit('mV', 'voltage', 1e-3, 'mV', 'mv', 'millivolt', 'millivolts'),
  unit('kV', 'voltage', 1e3, 'kV', 'kv', 'kilovolt', 'kilovolts'),
  unit('Ω', 'resistance', 1, 'Ω', 'Ω', 'R', 'ohm', 'ohms', 'r'),
  unit('mΩ', 'resistance', 1e-3, 'mΩ', 'mΩ', 'mohm', 'milliohm', 'milliohms'),
  unit('kΩ', 'resistance', 1e3, 'kΩ', 'kΩ', 'KΩ', 'k', 'K', 'kohm', 'kohms', 'kilohm', 'kilohms'),
  unit('MΩ', 'resistance', 1e6, 'MΩ', 'MΩ', 'M', 'meg', 'Mohm', 'megohm', 'megohms', 'meghom'),
  unit('A', 'current', 1, 'A', 'a', 'amp', 'amps', 'ampere', 'amperes'),
  unit('mA', 'current', 1e-3, 'mA', 'ma', 'milliamp', 'milliamps'),
  unit('µF', 'capacitance', 1e-6, 'µF', 'μF', 'uF', 'uf', 'mfd', 'microfarad', 'microfarads'),
  unit('nF', 'capacitance', 1e-9, 'nF', 'nf', 'nanofarad'),
  unit('pF', 'capacitance', 1e-12, 'pF', 'pf', 'picofarad'),
  unit('mH', 'inductance', 1e-3, 'mH', 'mh', 'millihenry'),
  unit('H', 'inductance', 1, 'H', 'henry'),
  unit('mm', 'length', 1e-3, 'mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'),
  unit('thou', 'length', 25.4e-6, 'thou', 'mil', 'mils'),
  unit('in', 'length', INCH_METRES, 'in', 'inch', 'inches', '"'),
  unit('m', 'length', 1, 'm', 'metre', 'metres', 'meter', 'meters'),
  unit('ft', 'length', 12 * INCH_METRES, 'ft', 'foot', 'feet'),
  unit('°', 'angle', 1, '°', 'deg', 'degs', 'degree', 'degrees'),
  unit('rpm', 'speed', 1, 'rpm', 'rev/min', 'r/min'),
  unit('s', 'time', 1, 's', 'sec', 'secs', 'second', 'seconds'),
  unit('min', 'time', 60, 'min', 'mins', 'minute', 'minutes'),
  unit('ms', 'time', 1e-3, 'ms', 'millisecond', 'milliseconds'),
  unit('h', 'time', 3600, 'h', 'hr', 'hrs', 'hour', 'hours'),
  unit('°C', 'temperature', 1, '°C', 'C', 'c', 'celsius', 'degc'),
  // Water freezes at 32 and boils at 212: 180 steps to Celsius' hundred.
  { ...unit('°F', 'temperature', 100 / 180, '°F', 'F', 'f', 'fahrenheit', 'degf'), nought: (-32 * 100) / 180 },
  unit('kPa', 'pressure', 1e3, 'kPa', 'kpa', 'kilopascal', 'kilopascals'),
  unit('bar', 'pressure', 1e5, 'bar'),
  unit('psi', 'pressure', 6894.757, 'psi', 'lb/in²', 'lbs'),
  unit('inHg', 'pressure', 3386.389, 'inHg', 'inhg', '"hg'),
  unit('mmHg', 'pressure', 133.3224, 'mmHg', 'mmhg'),
  unit('ml', 'volume', 1e-6, 'ml', 'cc', 'cm3', 'cm³', 'millilitre', 'millilitres'),
  unit('l', 'volume', 1e-3, 'l', 'L', 'litre', 'litres', 'liter', 'liters'),
  unit('US gal', 'volume', 3.785411784e-3, 'gal', 'gallon', 'gallons', 'us gallon', 'us gallons'),
  unit('imp gal', 'volume', 4.54609e-3, 'imp gallon', 'imp gallons', 'imperial gallon', 'imperial gallons'),
  unit('US fl oz', 'volume', 29.5735e-6, 'fl oz', 'oz', 'us fl oz'),
  unit('imp fl oz', 'volume', 28.4131e-6, 'imp oz'),
  unit('N m', 'torque', 1, 'Nm', 'nm', 'newton metres'),
  // A pound of 4.448 newtons on a foot.
  unit('lb ft', 'torque', 4.448222 * 12 * INCH_METRES, 'lbft', 'lb-ft', 'ft lb', 'ft-lb', 'ftlb'),
  // What a spring balance shows: the weight of so much, at 9.807 newtons a kilogram.
  unit('g', 'force', 9.80665e-3, 'g', 'gram', 'grams', 'gf'),
  unit('kg', 'force', 9.80665, 'kg', 'kilogram', 'kilograms', 'kgf'),
  unit('oz', 'force', 0.2780139, 'oz', 'ounce', 'ounces'),
  unit('N', 'force', 1, 'N', 'n', 'newton', 'newtons'),
  unit('turns', 'turns', 1, 'turn', 'turns', 't'),
  unit('%', 'share', 0.01, '%', 'per cent', 'percent'),
  unit('', 'ratio', 1),
];

const PREFERRED: Readonly<Record<Dimension, string>> = {
  voltage: 'V',
  resistance: 'Ω',
  current: 'A',
  capacitance: 'µF',
  inductance: 'mH',
  length: 'mm',
  angle: '°',
  speed: 'rpm',
  time: 's',
  pressure: 'kPa',
  volume: 'ml',
  temperature: '°C',
  torque: 'N m',
  force: 'g',
  turns: 'turns',
  share: '%',
  ratio: '',
};

/** Throws on a symbol that is not in the table: a caller's mistake, not a user's. */
export function unitBySymbol(symbol: string): UnitDef {
  const found = UNITS.find((u) => u.symbol === symbol);
  if (!found) throw new RangeError(`No unit "${symbol}"`);
  return found;
}

export const toSi = (value: number, { factor, nought = 0 }: UnitDef): number => value * factor + nought;
export const fromSi = (value: number, { factor, nought = 0 }: UnitDef): number => (value - nought) / factor;

/** The unit a bare number is read in, and that a box shows unless told otherwise. */
export function preferredUnit(dimension: Dimension): UnitDef {
  return unitBySymbol(PREFERRED[dimension]);
}

/** What was typed for a unit; an ounce is one of weight or of fluid, by what is asked for. */
export function unitTyped(text: string, wanted?: Dimension): UnitDef | undefined {
  const all = [...UNITS.filter((u) => u.dimension === wanted), ...UNITS];
  return (
    all.find((u) => u.symbol === text || u.typed.includes(text)) ??
    all.find((u) => u.typed.includes(text.toLowerCase()))
  );
}
