import { describe, expect, it } from 'vitest';
import { rockingOf, shimFor, turnedBetween, valvesOf } from './valveClearance.ts';

const BAND = { low: 0.25e-3, high: 0.3e-3 };

describe('clearances of a row of valves', () => {
  it('holds each against its band, and says how far to the middle of it', () => {
    const row = valvesOf([0.1e-3, 0.27e-3, 0.5e-3], BAND);
    expect(row.map((v) => v.says)).toEqual(['tight', 'right', 'wide']);
    expect(row[0]!.by).toBeCloseTo(0.175e-3, 9);
    expect(row[1]!.by).toBe(0);
    expect(row[2]!.by).toBeCloseTo(-0.225e-3, 9);
    expect(row.map((v) => v.cylinder)).toEqual([1, 2, 3]);
  });
  it('the ends of the band are right, as far as a feeler tells', () => {
    expect(valvesOf([BAND.low, BAND.high, BAND.low - 0.004e-3], BAND).map((v) => v.says)).toEqual([
      'right',
      'right',
      'right',
    ]);
  });
  it('by hand: a shim of 2.70 with 0.12 found where 0.20 is wanted goes to 2.62', () => {
    expect(shimFor(2.7e-3, 0.12e-3, 0.2e-3)).toBeCloseTo(2.62e-3, 9);
  });
});

describe('which valves rock while others are set', () => {
  // As the manuals of old engines print it.
  it.each([
    ['a four', [1, 3, 4, 2], { 1: 4, 3: 2, 4: 1, 2: 3 }],
    ['a six', [1, 5, 3, 6, 2, 4], { 1: 6, 5: 2, 3: 4, 6: 1, 2: 5, 4: 3 }],
    ['an eight', [1, 8, 4, 3, 6, 5, 7, 2], { 1: 6, 8: 5, 4: 7, 3: 2, 6: 1, 5: 8, 7: 4, 2: 3 }],
  ])('%s', (_name, order, rocks) => {
    expect(Object.fromEntries(rockingOf(order).map((r) => [r.set, r.rocks]))).toEqual(rocks);
  });
  it('each top is one firing further', () => {
    expect(turnedBetween(4)).toBe(180);
    expect(turnedBetween(6)).toBe(120);
  });
  it('a single, a twin and a three are set one by one', () => {
    for (const order of [[1], [1, 2], [1, 3, 2]]) expect(rockingOf(order)).toEqual([]);
  });
  it('whichever rocks is itself set while the first one rocks', () => {
    for (const { set, rocks } of rockingOf([1, 5, 4, 8, 6, 3, 7, 2]))
      expect(rockingOf([1, 5, 4, 8, 6, 3, 7, 2]).find((r) => r.set === rocks)!.rocks).toBe(set);
  });
});
