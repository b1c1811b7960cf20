import { describe, expect, it } from 'vitest';
import { logistic, normal, normalCdf, seededRandom, seedOf, shuffled } from './lcg.ts';

describe('the normal curve', () => {
  it.each([
    [0, 0.5],
    [1, 0.841345],
    [-1.96, 0.024998],
    [3, 0.99865],
  ])('Φ(%d) is %d, as the tables print it', (z, p) => {
    expect(normalCdf(z)).toBeCloseTo(p, 5);
  });
  it('is drawn with mean 0 and deviation 1', () => {
    const random = seededRandom(8);
    const values = Array.from({ length: 20_000 }, () => normal(random));
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const variance = values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length;
    expect(Math.abs(mean)).toBeLessThan(0.03);
    expect(variance).toBeGreaterThan(0.96);
    expect(variance).toBeLessThan(1.04);
  });
  it('a shuffle keeps every number and puts each in every place about as often', () => {
    const random = seededRandom(4);
    const first = new Array<number>(5).fill(0);
    for (let k = 0; k < 5000; k++) {
      const order = shuffled(5, random);
      expect([...order].sort()).toEqual([0, 1, 2, 3, 4]);
      first[order[0]!]!++;
    }
    for (const often of first) expect(often).toBeCloseTo(1000, -2.4);
  });
  it('a name gives a seed, as published for this hash', () => {
    // FNV-1a, 32 bits: its test vectors for the empty word, "a" and "foobar".
    expect(seedOf('')).toBe(0x811c9dc5);
    expect(seedOf('a')).toBe(0xe40c292c);
    expect(seedOf('foobar')).toBe(0xbf9cf968);
  });
  it('a soft border is a half at the border, and steep or flat by its width', () => {
    expect(logistic(0)).toBe(0.5);
    expect(logistic(4)).toBeGreaterThan(0.95);
    expect(logistic(2) + logistic(-2)).toBeCloseTo(1, 12);
  });
});
