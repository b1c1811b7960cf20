import { parseQuantity, type Dimension } from '@pondu/core';
import { describe, expect, it } from 'vitest';
import { bearing, minutesWords, percent, shareWords } from './belief.ts';
import { complaintWords } from './complaint.ts';
import { example, failureWords } from './failures.ts';

describe('belief in words', () => {
  it('grows with the share', () => {
    const steps = [0.001, 0.05, 0.2, 0.5, 0.7, 0.9, 0.99].map(shareWords);
    expect(new Set(steps).size).toBe(steps.length);
    expect(steps.at(-1)).toBe('almost certain');
  });
  it('never claims 100 % or 0 %', () => {
    expect(percent(0.9999)).toBe('99 %+');
    expect(percent(0.0001)).toBe('<1 %');
    expect(percent(0.345)).toBe('35 %');
  });
  it('says which way a reading bears', () => {
    expect(bearing(1.5)).toBe('strongly for');
    expect(bearing(-0.4)).toBe('a little against');
  });
  it('rounds minutes as people do', () => {
    expect(minutesWords(0.5)).toBe('under a minute');
    expect(minutesWords(2.7)).toBe('2.5 min');
    expect(minutesWords(14.4)).toBe('14 min');
  });
});

describe('failures say what was wrong and what to do', () => {
  const said = (text: string, dimension: Dimension): string => {
    const read = parseQuantity(text, dimension);
    return read.ok ? '' : failureWords(read.failure);
  };
  it.each([
    ['twelve', 'voltage', /“twelve” cannot be read/],
    ['12 ohm', 'voltage', /read in volts .*ohms/],
    ['3 furlong', 'length', /“furlong” is not a unit/],
    ['-3', 'resistance', /never below zero/],
    ['OL', 'voltage', /OL is shown on the ohms range/],
    ['', 'voltage', /Type the reading/],
  ] as const)('%j', (text, dimension, pattern) => {
    expect(said(text, dimension)).toMatch(pattern);
  });
  it('gives examples that can be read', () => {
    for (const dimension of ['voltage', 'resistance', 'length', 'capacitance'] as const)
      for (const text of example(dimension).split(/,| or /)) expect(said(text.trim(), dimension), text).toBe('');
  });
});

it('a complaint reads as one line', () => {
  const words = { words: '', since: '', before: '' };
  expect(complaintWords({ symptom: 'no-fire', pattern: 'constant', ...words })).toBe('Cranks, will not fire');
  expect(complaintWords({ symptom: 'dies', pattern: 'hot', ...words })).toBe('Fires and dies, when hot');
});
