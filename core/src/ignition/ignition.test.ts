import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { arcLimitedVolts, availableVolts, dampedPeakShare, type CoilBreak } from './available.ts';
import { burnJoules } from './energy.ts';
import { closedSeconds, currentAtBreak } from './primary.ts';
import { chargeAtSpark, requiredVolts } from './required.ts';

const reference = (name: string) =>
  (
    JSON.parse(readFileSync(join(import.meta.dirname, '../network/references', `${name}.json`), 'utf8')) as {
      expect: { quantity: string; at: unknown; value: number }[];
    }
  ).expect;
const find = (name: string, quantity: string, at: string) =>
  reference(name).find((e) => e.quantity === quantity && JSON.stringify(e.at) === at)!.value;

describe('primary current', () => {
  it('builds up as circuit s06 does', () => {
    const loop = 0.02 + 0.08 + 3.0 + 0.05;
    for (const t of [0.001, 0.003, 0.006, 0.0099]) {
      const expected = find('s06_tran_ign_open_lead', 'i(VS)', `{"t":${t}}`);
      expect(currentAtBreak(12.6 / loop, loop, 8e-3, t) / expected).toBeCloseTo(1, 2);
    }
  });
  it('has 5 ms a spark on four cylinders at 6000 rev/min, 3 ms of it at 54° of dwell', () => {
    expect(closedSeconds(54, 3000)).toBeCloseTo(3e-3, 9);
  });
});

describe('voltage that is there', () => {
  const sound: CoilBreak = {
    amps: 3.922,
    henries: 8e-3,
    turnsRatio: 80,
    condenserFarads: 0.22e-6,
    secondaryFarads: 70e-12,
    shuntOhms: 1e12,
    primaryShuntOhms: 1e12,
    transfer: 1,
  };

  it('balances the energies by hand: ½LI² = ½C₁V₁² + ½C₂V₂²', () => {
    const v2 = availableVolts(sound);
    const stored = 0.5 * sound.henries * sound.amps ** 2;
    const held = 0.5 * sound.condenserFarads * (v2 / 80) ** 2 + 0.5 * sound.secondaryFarads * v2 ** 2;
    expect(held / stored).toBeCloseTo(1, 5);
  });
  it('agrees with the transient of s06 within a tenth, its coupling being nearly whole', () => {
    const expected = Math.abs(find('s06_tran_ign_open_lead', 'v(sec)', '"min"'));
    expect(availableVolts(sound) / expected).toBeGreaterThan(0.9);
    expect(availableVolts(sound) / expected).toBeLessThan(1.1);
  });
  it('falls to the arc’s voltage with the condenser open, as s07 does within 15 %', () => {
    const expected = Math.abs(find('s07_tran_ign_condenser_open', 'v(sec)', '"min"'));
    const got = availableVolts({ ...sound, condenserFarads: 0.2e-9 });
    expect(got / expected).toBeGreaterThan(0.85);
    expect(got / expected).toBeLessThan(1.3);
    expect(arcLimitedVolts(8e-3, 3.92) / find('s07_tran_ign_condenser_open', 'v(neg)', '"max"')).toBeCloseTo(1, 0);
  });
  it('is drained by a fouled plug', () => {
    expect(availableVolts({ ...sound, shuntOhms: 100e3 })).toBeLessThan(0.3 * availableVolts(sound));
    expect(availableVolts({ ...sound, shuntOhms: 100e6 })).toBeGreaterThan(0.98 * availableVolts(sound));
  });
  it('is nothing when no current is cut', () => {
    expect(availableVolts({ ...sound, amps: 0 })).toBe(0);
  });
});

describe('a ringing circuit with a leak', () => {
  /** The same circuit stepped through time: L ∥ C ∥ R from a current in L. Second method. */
  function stepped(zeta: number): number {
    const [l, c] = [1, 1];
    const resistance = 1 / (2 * zeta);
    let [i, v, peak] = [1, 0, 0];
    const h = 1e-4;
    for (let t = 0; t < 20; t += h) {
      // Midpoint rule.
      const [im, vm] = [i - (h / 2) * (v / l), v + (h / 2) * ((i - v / resistance) / c)];
      i -= h * (vm / l);
      v += h * ((im - vm / resistance) / c);
      peak = Math.max(peak, v);
    }
    return peak;
  }
  it.each([0.01, 0.1, 0.5, 0.9, 1.5, 4])('ζ = %d', (zeta) => {
    expect(dampedPeakShare(1, 1 / (2 * zeta))).toBeCloseTo(stepped(zeta), 3);
  });
});

describe('voltage that is asked', () => {
  it('is the published formula, worked by hand', () => {
    // p = 10 bar, T = 500 K, d = 0.7 mm: 4.3 + 2.72 + 4.536 = 11.556 kV
    expect(requiredVolts(10, 500, 0.7e-3)).toBeCloseTo(11_556, 0);
  });
  it('rises with compression', () => {
    const at = (r: number) => {
      const { bar, kelvin } = chargeAtSpark(r, 1, 300);
      return requiredVolts(bar, kelvin, 0.7e-3);
    };
    expect(at(9)).toBeGreaterThan(at(6));
    expect(chargeAtSpark(8, 1, 300).bar).toBeCloseTo(8 ** 1.3, 9);
  });
});

it('series resistance takes energy and a high breakdown takes more', () => {
  const free = burnJoules(40e-3, 70e-12, 12e3, 0);
  expect(burnJoules(40e-3, 70e-12, 12e3, 25e3)).toBeCloseTo(free / 2, 9);
  expect(burnJoules(40e-3, 70e-12, 25e3, 0)).toBeLessThan(free);
  expect(burnJoules(1e-3, 70e-12, 25e3, 0)).toBe(0);
});
