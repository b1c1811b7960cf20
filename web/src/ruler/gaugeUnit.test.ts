import { readTyped } from '@pondu/core';
import { describe, expect, it } from 'vitest';
import { GAUGE_UNITS, inGaugeUnit } from './gaugeUnit.ts';

describe('a figure typed for a gauge', () => {
  it('is in the unit that its face shows, unless it says another', () => {
    expect(inGaugeUnit(' 18 ', 'inHg')).toBe('18 inHg');
    expect(inGaugeUnit('-18,5', 'psi')).toBe('-18,5 psi');
    expect(inGaugeUnit('18 bar', 'psi')).toBe('18 bar');
    expect(inGaugeUnit('eighteen', 'psi')).toBe('eighteen');
    expect(inGaugeUnit('', 'psi')).toBe('');
  });
  it('on a vacuum gauge needs no minus; a plus is pressure', () => {
    expect(inGaugeUnit('18', 'inHg', true)).toBe('−18 inHg');
    expect(inGaugeUnit('18 inHg', 'kPa', true)).toBe('−18 inHg');
    expect(inGaugeUnit('-18', 'inHg', true)).toBe('-18 inHg');
    expect(inGaugeUnit('−60', 'kPa', true)).toBe('−60 kPa');
    expect(inGaugeUnit('+2', 'psi', true)).toBe('+2 psi');
    expect(inGaugeUnit('0', 'inHg', true)).toBe('0 inHg');
    expect(inGaugeUnit('', 'inHg', true)).toBe('');
  });
  it.each([
    ['kPa', 10, 10e3],
    ['bar', 10, 1e6],
    ['psi', 150, 1.0342e6],
    ['inHg', -18, -60955],
    ['mmHg', 760, 101_325],
  ] as const)('in %s: %d', (unit, typed, pascals) => {
    const read = readTyped({ instrument: 'pressure gauge' }, inGaugeUnit(String(typed), unit));
    expect(read.ok && read.value.kind === 'number' && read.value.value / pascals).toBeCloseTo(1, 3);
    expect(GAUGE_UNITS).toContain(unit);
  });
});
