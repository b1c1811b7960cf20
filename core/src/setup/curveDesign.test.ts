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
  it('by hand: ten degrees by 1800 and fourteen more by 3400 take a second spring, loose for five of the distributor', () => {
    const wish = { base: 10, total: 34, startRpm: 1200, fullRpm: 3400, knee: { rpm: 1800, degrees: 20 } };
    const design = designCurve(NOW, wish, [], 800);
    expect(design.unfit).toEqual([]);
    // (1800² − 1200²)/10 = 180,000 and (3400² − 1800²)/14 = 594,286, over 261,818 of today.
    expect(design.rate).toBeCloseTo(180_000 / 261_818, 3);
    expect(design.second!.rate).toBeCloseTo((594_286 - 180_000) / 261_818, 3);
    expect(design.second!.looseFor).toBe(5);
    expect(advanceAt(10, design.wanted, 1500)).toBeCloseTo(15, 6);
    expect(advanceAt(10, design.wanted, 1800)).toBeCloseTo(20, 6);
    expect(advanceAt(10, design.wanted, 2600)).toBeCloseTo(27, 6);
    expect(advanceAt(10, design.wanted, 5000)).toBeCloseTo(34, 6);
    // Force against force: one spring up to the knee, both from there.
    const today = springsOf(NOW);
    const at = (rpm: number) => {
      const [k1, k2] = [today.rate * design.rate, today.rate * design.second!.rate];
      let [low, high] = [0, 24];
      for (let n = 0; n < 60; n++) {
        const x = (low + high) / 2;
        const pull = today.takeUp * design.takeUp + k1 * x + k2 * Math.max(0, x - 2 * design.second!.looseFor);
        if (rpm ** 2 > pull) low = x;
        else high = x;
      }
      return low;
    };
    expect(at(1800)).toBeCloseTo(10, 2);
    expect(at(3400)).toBeCloseTo(24, 2);
  });
  it('a second spring cannot make it rise faster, nor take hold outside the curve', () => {
    const codes = (rpm: number, degrees: number) =>
      designCurve(
        NOW,
        { base: 10, total: 34, startRpm: 1200, fullRpm: 2800, knee: { rpm, degrees } },
        [],
        800,
      ).unfit.map((u) => u.code);
    expect(codes(2400, 14)).toEqual(['second-softer']);
    expect(codes(1100, 14)).toEqual(['knee-outside']);
    expect(codes(1800, 40)).toEqual(['knee-outside']);
    expect(codes(1600, 22)).toEqual([]);
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
