import { describe, expect, it } from 'vitest';
import { unitsSchema } from '../schema/units.ts';
import { formatBand, formatQuantity } from './format.ts';
import { withHabit, wireSize } from './habits.ts';
import { parseQuantity } from './parse.ts';
import { QUANTITIES, UNIT_CHOICES, type UnitHabits } from './unitChoices.ts';
import { INCH_METRES, unitBySymbol } from './units.ts';

const METRIC: UnitHabits = unitsSchema.parse({});
const INCH: UnitHabits = {
  length: 'thou',
  height: 'ft',
  pressure: 'psi',
  vacuum: 'inHg',
  temperature: '°F',
  volume: 'US fl oz',
  tank: 'US gal',
  torque: 'lb ft',
  wire: 'AWG',
};

describe('units by habit', () => {
  it('the schema offers every choice of every quantity, and the first is what stands', () => {
    for (const quantity of QUANTITIES) {
      expect(METRIC[quantity]).toBe(UNIT_CHOICES[quantity][0]);
      for (const unit of UNIT_CHOICES[quantity]) {
        expect(unitsSchema.parse({ [quantity]: unit })[quantity]).toBe(unit);
        if (quantity !== 'wire') expect(unitBySymbol(unit).symbol).toBe(unit);
      }
    }
  });
  // By tables of conversion: an inch is 25.4 mm, a psi 6.895 kPa, an inch of mercury 3.386 kPa, a pound-foot 1.356 N m.
  it.each([
    [0.4e-3, 'length', '15.7 thou'],
    [12e-3, 'length', '0.472 in'],
    [21e3, 'pressure', '3.05 psi'],
    [-60e3, 'pressure', '−17.7 inHg'],
    [82, 'temperature', '180 °F'],
    [0.5e-3, 'volume', '16.9 US fl oz'],
    [27, 'torque', '19.9 lb ft'],
    [12.63, 'voltage', '12.6 V'],
    [4700, 'resistance', '4.7 kΩ'],
  ] as const)('%f (%s) is said as %s', (value, dimension, said) => {
    expect(formatQuantity(value, dimension, { habits: INCH })).toBe(said);
  });
  it('both ends of a band are in one unit, a vacuum’s in that of vacuum', () => {
    expect(formatBand(0.35e-3, 0.45e-3, 'length', INCH)).toBe('13.8–17.7 thou');
    expect(formatBand(2e-3, 4e-3, 'length', INCH)).toMatch(/ in$/);
    expect(formatBand(-70e3, -60e3, 'pressure', INCH)).toBe('−20.7 to −17.7 inHg');
    expect(formatBand(14e3, 35e3, 'pressure', INCH)).toBe('2–5.1 psi');
    expect(formatBand(0.35e-3, 0.45e-3, 'length', METRIC)).toBe(formatBand(0.35e-3, 0.45e-3, 'length'));
  });
  it.each([
    ['15', 'length', {}, '15 thou'],
    ['.015', 'length', {}, '.015 in'],
    ['1/64', 'length', {}, '1/64 in'],
    ['6', 'length', { long: true }, '6 in'],
    ['4', 'volume', {}, '4 US fl oz'],
    ['15 mm', 'length', {}, '15 mm'],
    ['18', 'pressure', { below: true }, '18 inHg'],
    ['3,5', 'pressure', {}, '3,5 psi'],
    ['180', 'temperature', {}, '180 °F'],
    ['12.4', 'voltage', {}, '12.4'],
    ['OL', 'resistance', {}, 'OL'],
    ['nonsense', 'length', {}, 'nonsense'],
  ] as const)('a bare “%s” (%s %j) is kept as “%s”', (typed, dimension, typing, kept) => {
    expect(withHabit(typed, dimension, INCH, typing)).toBe(kept);
    expect(withHabit(typed, dimension, METRIC, typing)).toBe(typed);
  });
  it('a shop that goes by inches alone says a gap in them, and means them by a bare number', () => {
    const inches: UnitHabits = { ...INCH, length: 'in' };
    expect(formatQuantity(0.4e-3, 'length', { habits: inches })).toBe('0.0157 in');
    expect(formatBand(0.35e-3, 0.45e-3, 'length', inches)).toBe('0.0138–0.0177 in');
    expect(withHabit('.015', 'length', inches)).toBe('.015 in');
    expect(withHabit('15 thou', 'length', inches)).toBe('15 thou');
  });
  it('a tankful that is typed bare is in litres or gallons', () => {
    expect(withHabit('2.5', 'volume', INCH, { tank: true })).toBe('2.5 US gal');
    expect(withHabit('9.5', 'volume', METRIC, { tank: true })).toBe('9.5 l');
    expect(unitBySymbol('US gal').factor).toBeCloseTo(231 * INCH_METRES ** 3, 9);
  });
  it('fifteen thousandths are the same gap either way', () => {
    const [a, b] = ['15', '.015'].map((t) => parseQuantity(withHabit(t, 'length', INCH), 'length'));
    expect(a!.ok && b!.ok && Math.abs(a!.value - b!.value) < 1e-9).toBe(true);
    expect(a!.ok && a!.value).toBeCloseTo(0.381e-3, 6);
  });
  // The standard's own table: 18 is 0.823 mm², 14 is 2.08, 10 is 5.26, 4 is 21.2, 1/0 is 53.5, 4/0 is 107.
  it.each([
    [0.823, '18 AWG'],
    [2.08, '14 AWG'],
    [1.5, '15 AWG'],
    [2.5, '13 AWG'],
    [4, '11 AWG'],
    [5.26, '10 AWG'],
    [6, '9 AWG'],
    [21.2, '4 AWG'],
    [53.5, '1/0 AWG'],
    [107.2, '4/0 AWG'],
  ])('%f mm² is never replaced by a thinner wire: %s', (area, said) => {
    expect(wireSize(area, INCH)).toBe(said);
    expect(wireSize(area, METRIC)).toMatch(/ mm²$/);
  });
});
