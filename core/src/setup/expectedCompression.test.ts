import { describe, expect, it } from 'vitest';
import { expectedCompression, type Cranked } from './expectedCompression.ts';

const four: Cranked = { litres: 1.6, cylinders: 4, ratio: 8.5, rpm: 200, altitude: 0, strokes: 'four-stroke' };
const middle = (more: Partial<Cranked> = {}) => {
  const { low, high } = expectedCompression({ ...four, ...more });
  return (low + high) / 2e5;
};

describe('compression to expect', () => {
  it('as old books print it: 9 to 12 bar for 8.5 to one, 6 to 8 for 6.5, 25 to 35 for a diesel of 20', () => {
    expect(middle()).toBeGreaterThan(9);
    expect(middle()).toBeLessThan(12);
    expect(middle({ ratio: 6.5 })).toBeGreaterThan(6);
    expect(middle({ ratio: 6.5 })).toBeLessThan(8.5);
    expect(middle({ ratio: 20 })).toBeGreaterThan(25);
    expect(middle({ ratio: 20 })).toBeLessThan(38);
  });
  it('by hand: at 2000 m the air weighs .785 of what it does by the sea, and so does what the gauge shows', () => {
    expect(middle({ altitude: 2000 }) / middle()).toBeCloseTo(0.785, 2);
  });
  it('is less turned slowly, and less with a port that shuts late', () => {
    expect(middle({ rpm: 100 })).toBeLessThan(middle());
    expect(middle({ strokes: 'two-stroke' })).toBeLessThan(middle());
  });
});
