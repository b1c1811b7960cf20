import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { degreesAtPiston, pistonBelowTop, rimDegrees, rimMetres, topFromStop } from '../engine/crankGeometry.ts';
import { calibrated, camOf, dwellFromShare, dwellOf, timingShift } from './dwell.ts';

describe('dwell', () => {
  it('by hand: 60° of four cylinders is two thirds of the time, and ten milliseconds at 1000 rev/min of the shaft', () => {
    const { share, seconds } = dwellOf(60, 4, 1000);
    expect(share).toBeCloseTo(2 / 3, 9);
    // 1000 rev/min is 16.67 turns a second, 6000° a second.
    expect(seconds).toBeCloseTo(0.01, 9);
  });
  it('eight cylinders at 30°, and the same share of six is 40°', () => {
    expect(dwellFromShare(dwellOf(30, 8, 500).share, 6)).toBeCloseTo(40, 9);
  });
  it('there and back, and a wider gap is always less dwell', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3e-3, max: 0.45e-3, noNaN: true }),
        fc.double({ min: 30, max: 60, noNaN: true }),
        (gap, dwell) => {
          const line = calibrated({ gapMetres: 0.3e-3, dwellDegrees: 62 }, { gapMetres: 0.5e-3, dwellDegrees: 50 })!;
          expect(line.gapAt(line.dwellAt(gap))).toBeCloseTo(gap, 9);
          expect(line.dwellAt(line.gapAt(dwell))).toBeCloseTo(dwell, 6);
          expect(line.dwellAt(gap + 0.05e-3)).toBeLessThan(line.dwellAt(gap));
        },
      ),
    );
  });
  it('two pairs that fix no line are no calibration', () => {
    const one = { gapMetres: 0.4e-3, dwellDegrees: 55 };
    expect(calibrated(one, one)).toBeUndefined();
    expect(calibrated(one, { gapMetres: 0.4e-3, dwellDegrees: 50 })).toBeUndefined();
    expect(calibrated(one, { gapMetres: 0.5e-3, dwellDegrees: 60 })).toBeUndefined();
  });
  it('a degree less of dwell is a degree of the crank earlier: by the two ends of the closed angle', () => {
    // Shut from −30° to +30° of the shaft; 2° less is shut from −29° to +29°: opens 1° of the shaft, 2° of the crank sooner.
    const opens = (dwell: number) => dwell / 2;
    expect(timingShift(60, 58)).toBeCloseTo(2 * (opens(60) - opens(58)), 9);
    expect(timingShift(60, 58)).toBe(2);
    expect(timingShift(58, 60)).toBe(-2);
  });
  it('of a cam on the crank half a degree: its own degrees are the crank’s', () => {
    const opens = (dwell: number) => dwell / 2;
    expect(timingShift(130, 120, 1)).toBeCloseTo(opens(130) - opens(120), 9);
    expect(camOf('flywheel-magneto', 2)).toEqual({ lobes: 1, crankTurns: 1 });
    expect(camOf('points-coils', 2)).toEqual({ lobes: 1, crankTurns: 2 });
    expect(camOf('battery-points', 6)).toEqual({ lobes: 6, crankTurns: 2 });
  });
});

describe('a pulley and its rim', () => {
  it('by hand: a pulley of 114.6 mm has a millimetre a degree', () => {
    expect(rimMetres(1, 0.1146)).toBeCloseTo(1e-3, 5);
    expect(rimMetres(360, 0.15)).toBeCloseTo(Math.PI * 0.15, 9);
  });
  it('there and back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 60, noNaN: true }),
        fc.double({ min: 0.05, max: 0.4, noNaN: true }),
        (at, wide) => {
          expect(rimDegrees(rimMetres(at, wide), wide)).toBeCloseTo(at, 9);
        },
      ),
    );
  });
});

describe('piston and crank', () => {
  it('at the ends and at a right angle, by Pythagoras', () => {
    expect(pistonBelowTop(0, 0.08, 0.14)).toBeCloseTo(0, 12);
    expect(pistonBelowTop(180, 0.08, 0.14)).toBeCloseTo(0.08, 12);
    // At 90° the rod is the long side of a triangle with the crank.
    expect(pistonBelowTop(90, 0.08, 0.14)).toBeCloseTo(0.04 + 0.14 - Math.sqrt(0.14 ** 2 - 0.04 ** 2), 12);
  });
  it('an endless rod follows the cosine alone', () => {
    expect(pistonBelowTop(37, 0.06, 1e5)).toBeCloseTo(0.03 * (1 - Math.cos((37 * Math.PI) / 180)), 6);
  });
  it('by hand, a two-stroke of 57 mm stroke and 110 mm rod: about 2 mm before top is some 19 to 20°', () => {
    // Small angles: x ≈ r/2·θ²·(1 + r/l): θ = √(2·2/(28.5·1.259)) = 0.334 rad = 19.1°.
    expect(degreesAtPiston(2e-3, 57e-3, 110e-3)).toBeGreaterThan(18.8);
    expect(degreesAtPiston(2e-3, 57e-3, 110e-3)).toBeLessThan(19.8);
  });
  it('there and back over the whole stroke, always further down', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 179.5, noNaN: true }), (at) => {
        const below = pistonBelowTop(at, 0.07, 0.13);
        expect(degreesAtPiston(below, 0.07, 0.13)).toBeCloseTo(at, 4);
        expect(pistonBelowTop(at + 0.4, 0.07, 0.13)).toBeGreaterThan(below);
      }),
    );
  });
  it('beyond its stroke, below nothing, or with a rod too short to turn there is no angle', () => {
    expect(degreesAtPiston(0.081, 0.08, 0.14)).toBeUndefined();
    expect(degreesAtPiston(-1e-3, 0.08, 0.14)).toBeUndefined();
    expect(degreesAtPiston(0.01, 0.08, 0.03)).toBeUndefined();
    expect(degreesAtPiston(NaN, 0.08, 0.14)).toBeUndefined();
  });
});

describe('top from a stop in the plug hole', () => {
  it('a mark that is right has the stop as far before as after', () => {
    expect(topFromStop(-32, 32)).toEqual({ markIsAt: -0, stopDegrees: 32 });
  });
  it('by hand: read 26° before and 38° after, the mark comes 6° too early, and true top is 6° past it', () => {
    // The stop stands at ±32° of true top; against the mark these read 6° late each.
    expect(topFromStop(-26, 38)).toEqual({ markIsAt: -6, stopDegrees: 32 });
  });
  it('which side is read first makes no difference', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -90, max: 90, noNaN: true }),
        fc.double({ min: -90, max: 90, noNaN: true }),
        (a, b) => {
          expect(topFromStop(a, b)).toEqual(topFromStop(b, a));
        },
      ),
    );
  });
});
