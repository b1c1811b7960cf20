import { describe, expect, it } from 'vitest';
import { formatQuantity, symbolsOf } from './format.ts';
import { parseQuantity } from './parse.ts';
import { preferredUnit, unitBySymbol, UNITS, unitTyped, type Dimension } from './units.ts';

const dimensions = [...new Set(UNITS.map((u) => u.dimension))];

describe('the table of units', () => {
  it('has a usual unit for every dimension, and it is one of that dimension', () => {
    for (const d of dimensions) expect(preferredUnit(d).dimension).toBe(d);
  });
  it('reads every spelling as the unit that it stands with', () => {
    for (const u of UNITS)
      for (const text of u.typed) expect(unitTyped(text, u.dimension)?.symbol, text).toBe(u.symbol);
  });
  it('keeps milli and mega apart, and takes capitals where nothing is lost', () => {
    expect(unitTyped('mΩ')!.factor).toBe(1e-3);
    expect(unitTyped('MΩ')!.factor).toBe(1e6);
    expect(unitTyped('M')!.factor).toBe(1e6);
    expect(unitTyped('OHM')!.symbol).toBe('Ω');
    expect(unitTyped('THOU')!.symbol).toBe('thou');
  });
  it('takes an ounce for weight where a force is asked for, and for fluid where none is', () => {
    expect(parseQuantity('20 oz', 'force')).toMatchObject({ ok: true, unit: 'oz' });
    expect(parseQuantity('20 oz', 'volume')).toMatchObject({ ok: true, unit: 'US fl oz' });
    // Twenty ounces are a pound and a quarter: 567 grams.
    const [ounces, grams] = [parseQuantity('20 oz', 'force'), parseQuantity('567', 'force')];
    expect(ounces.ok && grams.ok && ounces.value / grams.value).toBeCloseTo(1, 3);
  });
  it('refuses to invent a unit', () => {
    expect(() => unitBySymbol('furlong')).toThrow('furlong');
    expect(unitTyped('furlong')).toBeUndefined();
  });
  it('lists what a box may show', () => {
    expect(symbolsOf('resistance')).toEqual(['Ω', 'mΩ', 'kΩ', 'MΩ']);
    expect(symbolsOf('length')).toEqual(['mm', 'thou', 'in', 'm', 'ft']);
  });
});

describe('a bare number', () => {
  it.each<[Dimension, number]>([
    ['voltage', 12],
    ['resistance', 12],
    ['length', 12e-3],
    ['capacitance', 12e-6],
    ['angle', 12],
    ['time', 12],
  ])('of %s takes the usual unit', (dimension, value) => {
    expect(parseQuantity('12', dimension)).toMatchObject({ ok: true, value });
  });
  it('takes another unit where a box asks for it', () => {
    expect(parseQuantity('15', 'length', 'thou')).toMatchObject({ ok: true, value: expect.closeTo(0.381e-3, 9) });
    expect(parseQuantity('15 mm', 'length', 'thou')).toMatchObject({ ok: true, value: 0.015 });
  });
});

describe('conversions that are half of the time done wrongly', () => {
  it.each([
    ['15 thou', 'length', 0.381e-3],
    ['0.015 in', 'length', 0.381e-3],
    ['0.4 mm', 'length', 0.4e-3],
    ['1.5 min', 'time', 90],
    ['90 s', 'time', 90],
    ['2 h', 'time', 7200],
    ['540 mV', 'voltage', 0.54],
  ] as const)('%s', (text, dimension, si) => {
    const read = parseQuantity(text, dimension);
    expect(read.ok && Math.abs(read.value - si)).toBeLessThan(1e-9);
  });
});

describe('units that begin elsewhere', () => {
  it.each([
    ['32 °F', 0],
    ['212F', 100],
    ['-40 °F', -40],
    ['68 fahrenheit', 20],
  ])('%s is %d °C', (typed, celsius) => {
    const read = parseQuantity(typed, 'temperature');
    expect(read.ok && read.value).toBeCloseTo(celsius, 9);
  });
  it('are shown as they are read', () => {
    expect(formatQuantity(100, 'temperature', { unit: '°F' })).toBe('212 °F');
    expect(formatQuantity(20, 'temperature')).toBe('20 °C');
  });
  it('a foot is twelve inches', () => {
    const foot = parseQuantity('1 ft', 'length');
    const inches = parseQuantity('12 in', 'length');
    expect(foot.ok && inches.ok && foot.value - inches.value).toBeCloseTo(0, 12);
  });
});
