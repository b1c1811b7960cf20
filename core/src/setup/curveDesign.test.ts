import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { advanceAt, designCurve, type Advance } from './curveDesign.ts';

const NOW: Advance = { startRpm: 1000, fullRpm: 2600, span: 22 };

/** Where two weights of this take-up and rate stand at a speed: force against force, found by bisection. */
function swungBy(takeUp: number, rate: number, span: number, rpm: number): number {
  let [low, high] = [0, span];
  for (let k = 0; k < 60; k++) {
    const middle = (low + high) / 2;
    if (rpm ** 2 > takeUp + rate * middle) low = middle;
    else high = middle;
  }
  return low;
}
const springsOf = ({ startRpm, fullRpm, span }: Advance) => ({
  takeUp: startRpm ** 2,
  rate: (fullRpm ** 2 - startRpm ** 2) / span,
});

describe('a curve to be had of weights and springs', () => {
  it('by hand: ten at idle and thirty-four from 2800 on take 24 degrees, so the stop moves by one of the distributor', () => {
    const design = designCurve(NOW, { base: 10, total: 34, startRpm: 1200, fullRpm: 2800 }, [], 800);
    expect(design.wanted.span).toBe(24);
    expect(design.stopBy).toBe(1);
    // 1200² / 1000² = 1.44; (2800² − 1200²)/24 over (2600² − 1000²)/22 = 266667 / 261818.
    expect(design.takeUp).toBeCloseTo(1.44, 6);
    expect(design.rate).toBeCloseTo(266_667 / 261_818, 3);
    expect(design.unfit).toEqual([]);
    expect(advanceAt(10, design.wanted, 2000)).toBeCloseTo(22, 6);
  });
  it('springs made so begin and end where they were asked to, force against force', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 900, max: 1600 }),
        fc.integer({ min: 300, max: 2500 }),
        fc.integer({ min: 8, max: 30 }),
        (startRpm, more, span) => {
          const wish = { base: 8, total: 8 + span, startRpm, fullRpm: startRpm + more };
          const { takeUp, rate, wanted } = designCurve(NOW, wish, [], 800);
          const today = springsOf(NOW);
          const at = (rpm: number) => swungBy(today.takeUp * takeUp, today.rate * rate, wanted.span, rpm);
          expect(at(wanted.startRpm)).toBeLessThan(0.01);
          expect(at(wanted.fullRpm)).toBeGreaterThan(wanted.span - 0.01);
          expect(at((wanted.startRpm + wanted.fullRpm) / 2)).toBeLessThan(wanted.span);
        },
      ),
    );
  });
  it('today’s curve asks for nothing', () => {
    const design = designCurve(NOW, { base: 6, total: 28, startRpm: 1000, fullRpm: 2600 }, [], 800);
    expect([design.stopBy, design.takeUp, design.rate]).toEqual([0, 1, 1]);
  });
  it('says which figure it runs into: where it knocked, idle, nothing to gain, speeds crossed', () => {
    const codes = (base: number, total: number, startRpm: number, fullRpm: number) =>
      designCurve(NOW, { base, total, startRpm, fullRpm }, [{ rpm: 2000, degrees: 24 }], 800).unfit.map((u) => u.code);
    // At 2000 it would have 22: the very step below 24 that is fit.
    expect(codes(10, 34, 1200, 2800)).toEqual([]);
    expect(codes(11, 35, 1200, 2800)).toEqual(['over-limit']);
    expect(codes(10, 34, 1000, 2200)).toEqual(['over-limit']);
    expect(codes(10, 34, 700, 2800)).toContain('starts-under-idle');
    expect(codes(34, 30, 1200, 2800)).toContain('no-span');
    expect(codes(10, 34, 2800, 1200)).toContain('speeds-crossed');
  });
});
