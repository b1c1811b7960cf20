import { describe, expect, it } from 'vitest';
import { hoursToAQuarter } from '../trails/charge/balance.ts';
import { drainHunt } from './drainHunt.ts';

describe('circuit by circuit', () => {
  it('what falls away with a fuse was taken behind it', () => {
    // By hand: 0.62 A at rest; lamps 0, the glove box lamp 0.55 A, a clock 0.02 A stay.
    const { taken, left, says } = drainHunt(0.62, [
      { circuit: 'Headlamps', amps: 0.62 },
      { circuit: 'Glove box lamp', amps: 0.07 },
      { circuit: 'Horn', amps: 0.02 },
    ]);
    expect(taken.map((t) => t.amps.toFixed(2))).toEqual(['0.00', '0.55', '0.05']);
    expect(taken.map((t) => t.stays)).toEqual([false, true, false]);
    expect(left).toBe(0.02);
    expect(says).toBe('found');
  });
  it('two may stay on: it goes on until what is left may be taken', () => {
    const first = [{ circuit: 'Radio', amps: 0.4 }];
    expect(drainHunt(0.8, first).says).toBe('go on');
    const both = drainHunt(0.8, [...first, { circuit: 'Bilge pump', amps: 0.01 }]);
    expect(both.says).toBe('found');
    expect(both.taken.every((t) => t.stays)).toBe(true);
  });
  it('all of them out, it is what no fuse stands before', () => {
    expect(drainHunt(0.9, [{ circuit: 'Radio', amps: 0.9 }], true).says).toBe('behind the fuses');
  });
  it('more than before: something woke up, and the reading is taken again', () => {
    expect(drainHunt(0.3, [{ circuit: 'Radio', amps: 2.1 }]).says).toBe('woke up');
  });
  it('a clock’s few hundredths are nothing to find', () => {
    expect(drainHunt(0.03, []).says).toBe('nothing to find');
  });
  it('half an ampere empties three quarters of 55 Ah in three and a half days', () => {
    expect(hoursToAQuarter(0.5, 55) / 24).toBeCloseTo((0.75 * 55) / 0.5 / 24, 9);
    expect(hoursToAQuarter(0.5, 55) / 24).toBeCloseTo(3.4, 1);
    expect(hoursToAQuarter(0, 55)).toBe(Infinity);
  });
});
