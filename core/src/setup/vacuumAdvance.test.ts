import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pumpedCurve, pumpSays, turnedBackTo, type PumpRow } from './vacuumAdvance.ts';

const PLATE = { low: 10, high: 16 };
const rows = (...pairs: [kilopascal: number, degrees: number][]): PumpRow[] =>
  pairs.map(([kilopascal, degrees]) => ({ pullPascal: kilopascal * 1000, degrees }));

describe('a vacuum advance on a hand pump', () => {
  it('by hand: nothing up to 12, half a degree a kilopascal from there to 36, twelve degrees in all', () => {
    const curve = pumpedCurve(rows([0, 8], [12, 8], [18, 11], [24, 14], [30, 17], [36, 20], [50, 20]))!;
    expect(curve.gain).toBeCloseTo(12, 6);
    expect(curve.startPascal).toBeCloseTo(12_000, -1);
    expect(curve.fullPascal).toBeCloseTo(36_000, -1);
    expect(pumpSays(curve, true, PLATE)).toBe('as it should');
  });
  it('gives back the ramp that was drawn, as near as a light and an eye read it', () => {
    const ramp = fc.record({
      start: fc.integer({ min: 8, max: 20 }),
      width: fc.integer({ min: 10, max: 25 }),
      gain: fc.integer({ min: 6, max: 20 }),
      off: fc.array(fc.double({ min: -0.5, max: 0.5, noNaN: true }), { minLength: 13, maxLength: 13 }),
    });
    fc.assert(
      fc.property(ramp, ({ start, width, gain, off }) => {
        const pulls = off.map((o, k): [number, number] => [
          5 * k,
          8 + gain * Math.min(1, Math.max(0, (5 * k - start) / width)) + o,
        ]);
        const curve = pumpedCurve(rows(...pulls))!;
        expect(Math.abs(curve.gain - gain)).toBeLessThan(1.2);
        // Half a degree either way on the slope of the ramp, and its ends lie between two pulls.
        const within = (width / gain) * 1000 + 5000;
        expect(Math.abs(curve.startPascal! - 1000 * start)).toBeLessThan(within);
        expect(Math.abs(curve.fullPascal! - 1000 * (start + width))).toBeLessThan(within);
      }),
      { seed: 4 },
    );
  });
  it('is not judged by two pulls, nor by the same one thrice', () => {
    expect(pumpedCurve(rows([0, 8], [40, 20]))).toBeUndefined();
    expect(pumpedCurve(rows([0, 8], [0, 8], [40, 20]))).toBeUndefined();
  });
  it.each([
    ['a plate that has seized does not move', rows([0, 8], [20, 8], [50, 9]), true, 'still'],
    ['a torn one does not hold, whatever it still moves', rows([0, 8], [20, 10], [50, 14]), false, 'leaks'],
    ['a link bent short gives too little', rows([0, 8], [10, 8], [20, 11], [30, 13], [50, 13]), true, 'little'],
    ['one for another engine gives too much', rows([0, 8], [10, 8], [30, 28], [50, 28]), true, 'much'],
    ['still rising, it is pulled harder first', rows([0, 8], [10, 8], [20, 10], [30, 12]), true, 'rising'],
    [
      'one that turns it later is for another distributor',
      rows([0, 8], [10, 8], [30, -2], [50, -2]),
      true,
      'backwards',
    ],
  ] as const)('%s', (_, pulls, holds, says) => {
    expect(pumpSays(pumpedCurve(pulls)!, holds, PLATE)).toBe(says);
  });
  it('is judged with what the eye may miss: a plate of ten is not missed by nine', () => {
    const curve = pumpedCurve(rows([0, 8], [10, 8], [30, 17], [50, 17]))!;
    expect(pumpSays(curve, true, PLATE)).toBe('as it should');
  });
});

it('set by the gauge: from twenty inches of mercury back to nineteen', () => {
  expect(turnedBackTo(20 * 3386.39) / 3386.39).toBeCloseTo(19, 2);
});
