import { describe, expect, it } from 'vitest';
import { halved } from './halved.ts';

describe('halving', () => {
  it('holds the place between its ends, each halving half as far apart', () => {
    for (const times of [0, 1, 7, 30]) {
      const [low, high] = halved(0, 2, times, (x) => x * x < 2);
      expect(low).toBeLessThanOrEqual(Math.SQRT2);
      expect(high).toBeGreaterThanOrEqual(Math.SQRT2);
      expect(high - low).toBeCloseTo(2 / 2 ** times, 12);
    }
  });
  it('ends at the far end where the answer never turns', () => {
    expect(halved(0, 1, 40, () => true)[0]).toBeCloseTo(1, 9);
    expect(halved(0, 1, 40, () => false)[1]).toBeCloseTo(0, 9);
  });
});
