import { describe, expect, it } from 'vitest';
import { ATMOSPHERE } from '../fluids/index.ts';
import { leakDown, pressed, SHUT_BEFORE, volumeAt } from './compressing.ts';
import { psi } from './manifold.ts';

const four = { litres: 0.4, ratio: 8.5, shutBefore: SHUT_BEFORE.four, rpm: 180 };
const bar = (squareMetres: number, more: Partial<typeof four> = {}) =>
  pressed({ ...four, ...more, squareMetres }).pascals / 1e5;

describe('slider and crank', () => {
  it('at top and bottom centre: one part and r parts of r − 1', () => {
    expect(volumeAt(0, 9)).toBeCloseTo(1 / 8, 12);
    expect(volumeAt(180, 9)).toBeCloseTo(9 / 8, 12);
  });
  it('at half a turn’s half the rod brings it past the middle: 1 + 3.5 − √(3.5² − 1) by hand', () => {
    expect(volumeAt(90, 9) - 1 / 8).toBeCloseTo((1 + 3.5 - Math.sqrt(11.25)) / 2, 12);
  });
});

describe('a cylinder that is turned', () => {
  it('holds all: p₀·r^1.28 from where it shut', () => {
    const squeezed = volumeAt(SHUT_BEFORE.four, 8.5) / volumeAt(0, 8.5);
    expect(bar(0) * 1e5 + ATMOSPHERE).toBeCloseTo(0.96 * ATMOSPHERE * squeezed ** 1.28, 0);
  });
  it('sound: 8 to 13 bar at ratios of 8 to 9', () => {
    for (const ratio of [8, 8.5, 9]) {
      expect(bar(0.3e-6, { ratio })).toBeGreaterThan(8);
      expect(bar(0.3e-6, { ratio })).toBeLessThan(13);
    }
  });
  it('loses more the slower it is turned, and the larger the hole', () => {
    expect(bar(3e-6, { rpm: 90 })).toBeLessThan(bar(3e-6) - 0.5);
    for (let k = 1; k < 12; k++) expect(bar(k * 1e-6)).toBeLessThan(bar((k - 1) * 1e-6));
  });
  it('forty steps stand within 0.2 % of two thousand', () => {
    for (const squareMetres of [0.3e-6, 2e-6, 8e-6, 20e-6])
      expect(
        Math.abs(pressed({ ...four, squareMetres }).pascals / pressed({ ...four, squareMetres }, 2000).pascals - 1),
      ).toBeLessThan(2e-3);
  });
  it('a small hole loses what the flow over its own sound pressure would carry off', () => {
    // To first order: ∫ C_d·A·p·ψ/√(RT) dt over the pressures without a leak, summed by another rule.
    const [area, n] = [0.05e-6, 20_000];
    let lost = 0;
    for (let k = 0; k < n; k++) {
      const degrees = -SHUT_BEFORE.four + ((k + 0.5) * SHUT_BEFORE.four) / n;
      const squeezed = volumeAt(SHUT_BEFORE.four, 8.5) / volumeAt(degrees, 8.5);
      const pascals = 0.96 * ATMOSPHERE * squeezed ** 1.28;
      if (pascals <= ATMOSPHERE) continue;
      const flow = (0.65 * area * pascals * psi(ATMOSPHERE / pascals)) / Math.sqrt(287 * 293 * squeezed ** 0.28);
      lost += (flow * SHUT_BEFORE.four) / n / (6 * four.rpm);
    }
    const charge = (0.96 * ATMOSPHERE * volumeAt(SHUT_BEFORE.four, 8.5) * 0.4e-3) / (287 * 293);
    expect((1 - pressed({ ...four, squareMetres: area }).kept) / (lost / charge)).toBeCloseTo(1, 1.5);
  });
});

describe('leak-down', () => {
  it('loses nothing over a tight cylinder, and nearly all over one that is open', () => {
    expect(leakDown(0)).toBeCloseTo(0, 6);
    expect(leakDown(1e-4)).toBeGreaterThan(0.97);
  });
  it('a hole as large as its own orifice: both in turn, where ψ over the first is the pressure times 0.685 of the second', () => {
    const supply = 6e5 + ATMOSPHERE;
    const middle = supply - leakDown(Math.PI * 0.5e-3 ** 2) * 6e5;
    expect(psi(middle / supply)).toBeCloseTo((middle / supply) * psi(ATMOSPHERE / middle), 4);
    // By hand: at 0.81, ψ is √(7·(0.7401 − 0.6968)) = 0.551 and 0.6847·0.81 is 0.555; they meet a little lower.
    expect(middle / supply).toBeCloseTo(0.8075, 2);
  });
  it('under a tenth over half a square millimetre, a third and more over one and a half', () => {
    expect(leakDown(0.45e-6)).toBeLessThan(0.1);
    expect(leakDown(1.5e-6)).toBeGreaterThan(0.3);
  });
});
