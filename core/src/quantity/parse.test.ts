import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatBand, formatQuantity } from './format.ts';
import { parseQuantity } from './parse.ts';
import type { Dimension } from './units.ts';

const value = (text: string, dimension: Dimension): number => {
  const read = parseQuantity(text, dimension);
  if (!read.ok) throw new Error(`${text}: ${read.failure.code}`);
  return read.value;
};
const code = (text: string, dimension: Dimension): string => {
  const read = parseQuantity(text, dimension);
  return read.ok ? `read as ${read.value}` : read.failure.code;
};

describe('what people type', () => {
  it.each([
    ['4k7', 'resistance', 4700],
    ['2M2', 'resistance', 2.2e6],
    ['1R5', 'resistance', 1.5],
    ['540 ohm', 'resistance', 540],
    ['540', 'resistance', 540],
    ['8.2k', 'resistance', 8200],
    ['1.5 MΩ', 'resistance', 1.5e6],
    ['20 mΩ', 'resistance', 0.02],
    ['0.3V', 'voltage', 0.3],
    ['300 mV', 'voltage', 0.3],
    ['12,5', 'voltage', 12.5],
    ['-0.2', 'voltage', -0.2],
    ['−0.2 V', 'voltage', -0.2],
    ['.5', 'voltage', 0.5],
    ['22 kV', 'voltage', 22000],
    ['15 thou', 'length', 0.381e-3],
    ['0.4mm', 'length', 0.4e-3],
    ['0.025"', 'length', 0.635e-3],
    ['0.22', 'capacitance', 0.22e-6],
    ['220nF', 'capacitance', 0.22e-6],
    ['0.22 mfd', 'capacitance', 0.22e-6],
    ['1/2 turn', 'turns', 0.5],
    ['1 1/2 turns', 'turns', 1.5],
    ['36 deg', 'angle', 36],
    ['2 min', 'time', 120],
  ] as const)('%s', (text, dimension, expected) => {
    expect(value(text, dimension)).toBeCloseTo(expected, 12);
  });

  it.each(['OL', 'ol', 'open', ' O.L. ', '∞'])('%s is an open circuit', (text) => {
    expect(parseQuantity(text, 'resistance')).toMatchObject({ ok: true, value: Infinity, open: true });
  });

  it.each([
    ['', 'voltage', 'empty'],
    ['twelve', 'voltage', 'unreadable'],
    ['12..5', 'voltage', 'unreadable'],
    ['1,234.5', 'voltage', 'unreadable'],
    ['1/0 turn', 'turns', 'unreadable'],
    ['12 parsec', 'voltage', 'unknown-unit'],
    ['12 ohm', 'voltage', 'wrong-dimension'],
    ['12 V', 'resistance', 'wrong-dimension'],
    ['-4', 'resistance', 'negative'],
    ['OL', 'voltage', 'open-not-possible'],
    ['1e999', 'voltage', 'unreadable'],
  ] as const)('refuses %j as %s: %s', (text, dimension, expected) => {
    expect(code(text, dimension)).toBe(expected);
  });

  it('never throws, whatever the text', () => {
    fc.assert(fc.property(fc.string(), (text) => typeof parseQuantity(text, 'resistance').ok === 'boolean'));
  });
});

describe('what is shown', () => {
  it.each([
    [12.6, 'voltage', '12.6 V'],
    [0.085, 'voltage', '85 mV'],
    [0.2, 'voltage', '0.2 V'],
    [-0.5, 'voltage', '−0.5 V'],
    [21800, 'voltage', '21.8 kV'],
    [4700, 'resistance', '4.7 kΩ'],
    [1.5, 'resistance', '1.5 Ω'],
    [Infinity, 'resistance', 'OL'],
    [0.22e-6, 'capacitance', '0.22 µF'],
    [0.381e-3, 'length', '0.381 mm'],
    [0, 'voltage', '0 V'],
  ] as const)('%d %s', (v, dimension, expected) => {
    expect(formatQuantity(v, dimension)).toBe(expected);
  });

  it('shows a band in one unit', () => {
    expect(formatBand(1.3, 1.8, 'resistance')).toBe('1.3–1.8 Ω');
    expect(formatBand(6500, 10500, 'resistance')).toBe('6.5–11 kΩ');
    expect(formatBand(-72e3, -60e3, 'pressure')).toBe('−72 to −60 kPa');
    expect(formatBand(-8, 12, 'angle')).toBe('−8 to 12°');
  });

  it('reads back what it shows, to the digits shown', () => {
    const dimensions = fc.constantFrom<Dimension>('voltage', 'resistance', 'capacitance', 'length', 'current');
    fc.assert(
      fc.property(dimensions, fc.double({ min: 0.2, max: 9e5, noNaN: true }), (dimension, v) => {
        const scale = dimension === 'capacitance' ? 1e-10 : dimension === 'length' ? 1e-4 : 1;
        const back = value(formatQuantity(v * scale, dimension, { significant: 6 }), dimension);
        expect(Math.abs(back / (v * scale) - 1)).toBeLessThan(1e-4);
      }),
    );
  });
});
