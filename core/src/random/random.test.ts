import { describe, expect, it } from 'vitest';
import { logistic, normal, normalCdf, seededRandom } from './lcg.ts';

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
  it('a soft border is a half at the border, and steep or flat by its width', () => {
    expect(logistic(0)).toBe(0.5);
    expect(logistic(4)).toBeGreaterThan(0.95);
    expect(logistic(2) + logistic(-2)).toBeCloseTo(1, 12);
  });
});
