import { describe, expect, it } from 'vitest';
import { densityAt25, hoursToFlat, judgeCells, leftByDensity, leftByVolts } from './batteryState.ts';
import { staticTiming } from './staticTiming.ts';
import { mm2OfGauge } from '../quantity/index.ts';
import { wireDrop } from './wireDrop.ts';

describe('what is in a battery', () => {
  // The trade's table at 80 °F: 1.265 full, 1.190 half, 1.120 flat; 0.004 for each ten degrees Fahrenheit.
  it('by its acid, brought to 25 °C', () => {
    expect([leftByDensity(1.265, 25), leftByDensity(1.19, 25), leftByDensity(1.12, 25)]).toEqual([1, 0.5, 0]);
    // At freezing, 45 °F colder than 25 °C: a float shows 0.018 too much.
    expect(densityAt25(1.265, 0)).toBeCloseTo(1.247, 3);
    expect(leftByDensity(1.265, 0)).toBeLessThan(0.9);
    expect(leftByDensity(1.05, 25)).toBe(0);
    expect(leftByDensity(1.3, 25)).toBe(1);
  });
  it('by its volts at rest, twelve, six and twenty-four alike; just off the charger they tell nothing', () => {
    expect(leftByVolts(12.4, 12)).toEqual({ left: 0.75, surface: false });
    expect(leftByVolts(6.1, 6).left).toBeCloseTo(0.5, 9);
    expect(leftByVolts(24, 24).left).toBeCloseTo(0.25, 9);
    expect(leftByVolts(13.1, 12).surface).toBe(true);
    expect(leftByVolts(10, 12).left).toBe(0);
  });
  it('one cell far under the rest is named, and the weakest counts', () => {
    expect(judgeCells([1.26, 1.255, 1.25, 1.26, 1.255, 1.26], 25).dead).toBeUndefined();
    const one = judgeCells([1.25, 1.255, 1.25, 1.14, 1.255, 1.25], 25);
    expect(one.dead).toBe(4);
    expect(one.left).toBeCloseTo(leftByDensity(1.14, 25), 9);
    expect(one.spread).toBeCloseTo(0.115, 9);
  });
  it('lasts by hand: half of sixty amp-hours at a quarter ampere are five days', () => {
    expect(hoursToFlat(0.5, 60, 0.25)).toBe(120);
  });
});

describe('what a wire loses', () => {
  it('by hand: 10 A over 3 m of 2.5 mm², there and back, 0.41 V', () => {
    const drop = wireDrop(10, 3, 2.5, 12);
    expect(drop.volts).toBeCloseTo((2 * 3 * 0.0172 * 10) / 2.5, 9);
    expect(drop.share).toBeCloseTo(0.0344, 4);
    expect(drop.better!.mm2).toBeGreaterThan(2.5);
    expect(drop.better!.lostVolts).toBeLessThanOrEqual(0.36);
  });
  it('where nothing on the shelf will do it says none, and no error', () => {
    expect(wireDrop(200, 20, 16, 12).better).toBeUndefined();
  });
  // The standard's table: 18 is 0.823, 10 is 5.26, 1/0 is 53.5, 4/0 is 107.2 mm².
  it.each([
    [18, 0.823],
    [10, 5.26],
    [0, 53.5],
    [-3, 107.2],
  ])('gauge %i is %f mm²', (n, area) => {
    expect(Math.abs(mm2OfGauge(n) / area - 1)).toBeLessThan(0.003);
  });
});

describe('the moment with the engine standing', () => {
  it('in degrees, or along the rim: 17.5 mm on a rim of 200 are ten degrees', () => {
    expect(staticTiming({ degrees: 8 }, 0, 10)).toEqual({ degrees: 8, earlier: 2 });
    expect(staticTiming({ rimMetres: (Math.PI * 0.2) / 36, rimAcross: 0.2 }, 0, undefined).degrees).toBeCloseTo(10, 9);
  });
  it('against true top: a mark that stands two degrees after it shows two too many', () => {
    expect(staticTiming({ degrees: 10 }, 2, 10)).toEqual({ degrees: 8, earlier: 2 });
    expect(staticTiming({ degrees: 10 }, -2, 10).earlier).toBe(-2);
  });
});
