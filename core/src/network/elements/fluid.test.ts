import { describe, expect, it } from 'vitest';
import { gasFlow, psi } from './gasOrifice.ts';
import { gasSpace } from './gasSpace.ts';
import { orificeFlow } from './orifice.ts';
import { springValveFlow } from './springValve.ts';

const hole = { squareMetres: 1e-6, discharge: 0.7, density: 745 };
/** Slope found by stepping, to hold the written one against. */
const slopeOf = (f: (x: number) => number, x: number, h = Math.max(1e-3, Math.abs(x) * 1e-6)) =>
  (f(x + h) - f(x - h)) / (2 * h);

describe('orifice', () => {
  it('is C_d·A·√(2Δp/ρ), worked by hand: 3 kPa, 1 mm², 0.7 → 1.987 ml/s', () => {
    expect(orificeFlow(hole, 3000).flow).toBeCloseTo(0.7 * 1e-6 * Math.sqrt(6000 / 745), 11);
    expect(orificeFlow(hole, 3000).flow * 1e6).toBeCloseTo(1.987, 2);
  });
  it('flows back as it flows forth, and has the slope of its own curve', () => {
    for (const p of [0, 0.5, 3, 100, 2e4]) {
      expect(orificeFlow(hole, -p).flow).toBe(-orificeFlow(hole, p).flow);
      const slope = slopeOf((x) => orificeFlow(hole, x).flow, p);
      expect(orificeFlow(hole, p).slope / slope).toBeCloseTo(1, 4);
    }
  });
});

describe('flow function of air', () => {
  it('is 0.685 choked, from 0.528 down', () => {
    expect(psi(0.3).value).toBeCloseTo(0.6847, 4);
    expect(psi(0.5282).value).toBeCloseTo(0.6847, 4);
    expect(psi(1).value).toBe(0);
  });
  it('falls without a step, with the slope of its own curve', () => {
    for (const at of [0.55, 0.7, 0.9, 0.99, 0.9997]) {
      expect(psi(at).slope / slopeOf((x) => psi(x).value, at, 1e-7)).toBeCloseTo(1, 3);
      expect(psi(at).value).toBeGreaterThan(psi(at + 1e-4).value);
    }
  });
});

describe('air through a hole', () => {
  const leak = { squareMetres: 1e-6, discharge: 0.65, kelvin: 293 };
  it('a choked square millimetre passes 0.155 g/s from the open air', () => {
    // 0.65 · 1e-6 · 101325 / √(287 · 293) · 0.6847
    expect(gasFlow(leak, 101_325, 20e3).flow * 1e3).toBeCloseTo(0.1555, 3);
    expect(gasFlow(leak, 20e3, 101_325).flow).toBe(-gasFlow(leak, 101_325, 20e3).flow);
  });
  it('has the slopes of its own curve on either side', () => {
    for (const [a, b] of [
      [101e3, 30e3],
      [101e3, 80e3],
      [60e3, 90e3],
    ] as const) {
      const { perA, perB } = gasFlow(leak, a, b);
      expect(perA / slopeOf((x) => gasFlow(leak, x, b).flow, a)).toBeCloseTo(1, 3);
      // Choked, what lies downstream no longer matters.
      if (b > 0.53 * a) expect(perB / slopeOf((x) => gasFlow(leak, a, x).flow, b)).toBeCloseTo(1, 3);
      else expect(perB).toBeCloseTo(0, 15);
    }
  });
});

describe('spring valve', () => {
  const valve = { ...hole, crackPascals: 20e3, fullPascals: 30e3, leakShare: 1e-3 };
  it('leaks shut, opens evenly, and is an orifice wide open', () => {
    expect(springValveFlow(valve, 10e3).flow / orificeFlow(hole, 10e3).flow).toBeCloseTo(1e-3, 9);
    expect(springValveFlow(valve, 25e3).flow / orificeFlow(hole, 25e3).flow).toBeCloseTo(0.5, 2);
    expect(springValveFlow(valve, 40e3).flow).toBe(orificeFlow(hole, 40e3).flow);
    for (const p of [10e3, 25e3, 40e3])
      expect(springValveFlow(valve, p).slope / slopeOf((x) => springValveFlow(valve, x).flow, p)).toBeCloseTo(1, 4);
  });
});

it('gas shut in halves its space at twice the pressure, and stores what came in', () => {
  const space = {
    type: 'gas-space',
    id: 's',
    a: 'a',
    b: '0',
    cubicMetres: 2e-3,
    restPascals: 1e5,
    exponent: 1,
  } as const;
  expect(gasSpace.stored!(space, 2e5).amount).toBeCloseTo(1e-3, 12);
  expect(gasSpace.stored!(space, 1e5).amount).toBeCloseTo(0, 12);
  expect(gasSpace.stored!(space, 1e5).slope).toBeCloseTo(2e-3 / 1e5, 15);
});
