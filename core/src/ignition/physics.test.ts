import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { measure, solveTransient, threePhases, valueAt, type Circuit, type Element } from '../network/index.ts';
import {
  adapterReading,
  availableVolts,
  bridgeVolts,
  burnJoules,
  currentAtBreak,
  discharge,
  dischargeCircuit,
  fire,
  leastFiringRpm,
  leastRpm,
  loadedPeakVolts,
  magnetoAmps,
  magnetoFires,
  normalisedPeak,
  offLoadVolts,
  ohmsAt,
  openPeakVolts,
  sheared,
  shortPeakAmps,
  weakened,
  windingOhms,
  type CapacitorDischarge,
  type Firing,
  type Magneto,
  type StatorCoil,
} from './index.ts';

interface Expected {
  quantity: string;
  at: unknown;
  value: number;
}
const solvedElsewhere = (name: string, quantity: string, at: unknown): number =>
  (
    JSON.parse(readFileSync(join(import.meta.dirname, '../network/references', `${name}.json`), 'utf8')) as {
      expect: Expected[];
    }
  ).expect.find((e) => e.quantity === quantity && JSON.stringify(e.at) === JSON.stringify(at))!.value;

/** The coil of reference s06, its lead off. */
const s06: Firing = {
  supplyVolts: 12.6,
  feedOhms: 0.1,
  primaryOhms: 3,
  henries: 8e-3,
  turnsRatio: 80,
  coupling: 0.98,
  secondaryOhms: 8000,
  secondaryFarads: 70e-12,
  shuntOhms: 1e12,
  pointsOhms: 0.05,
  condenserFarads: 0.22e-6,
  condenserOhms: 0.3,
  condenserLeakOhms: 1e12,
  closedSeconds: 10e-3,
};

describe('winding', () => {
  it('a 540 Ω charge coil reads 667 Ω at 80 °C, and is brought back from it', () => {
    expect(ohmsAt(540, 80)).toBeCloseTo(667.3, 1);
    expect(windingOhms(667.3 + 0.4, 0.4, 80)).toBeCloseTo(540, 1);
  });
  it('a low winding is half lead: 0.6 Ω shown with 0.3 Ω of leads is 0.3 Ω', () => {
    expect(windingOhms(0.6, 0.3, 20)).toBeCloseTo(0.3, 9);
    expect(() => windingOhms(0.2, 0.3, 20)).toThrow('0.3 Ω');
  });
});

describe('one firing, solved', () => {
  it('is what an independent simulator finds of s06: current, points and secondary', () => {
    const fired = fire(s06);
    expect(fired.breakAmps / solvedElsewhere('s06_tran_ign_open_lead', 'i(VS)', { t: 0.0099 })).toBeCloseTo(1, 2);
    const sec = Math.abs(solvedElsewhere('s06_tran_ign_open_lead', 'v(sec)', 'min'));
    expect(Math.abs(fired.secondaryVolts / sec - 1)).toBeLessThan(0.02);
  });
  it('arcs at the points without a condenser, as s07 does', () => {
    const fired = fire({ ...s06, condenserFarads: 0.2e-9 });
    const reference = 's07_tran_ign_condenser_open';
    const [sec, neg] = [solvedElsewhere(reference, 'v(sec)', 'min'), solvedElsewhere(reference, 'v(neg)', 'max')];
    expect(Math.abs(fired.secondaryVolts / Math.abs(sec) - 1)).toBeLessThan(0.02);
    expect(Math.abs(fired.primaryVolts / neg - 1)).toBeLessThan(0.02);
  });
  it('current at the break follows V/R·(1 − e^(−tR/L)) over dwell, speed and cranking voltage', () => {
    for (const [volts, ms] of [
      [12.6, 2],
      [9.6, 5],
      [7.5, 20],
    ] as const) {
      const closed = currentAtBreak(volts / 3.15, 3.15, 8e-3, ms * 1e-3);
      expect(fire({ ...s06, supplyVolts: volts, closedSeconds: ms * 1e-3 }).breakAmps / closed).toBeCloseTo(1, 2);
    }
  });
  it('the closed formula used while tracing stays within 15 % of it, fouled down to 300 kΩ, over coils and condensers', () => {
    const part = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
    fc.assert(
      fc.property(part(4e-3, 12e-3), part(0.15e-6, 0.4e-6), part(50e-12, 100e-12), part(5.5, 9), (l, c1, c2, foul) => {
        const f = { ...s06, henries: l, condenserFarads: c1, secondaryFarads: c2, shuntOhms: 10 ** foul };
        const fired = fire(f);
        const formula = availableVolts({
          amps: fired.breakAmps,
          henries: l,
          turnsRatio: 80,
          condenserFarads: c1,
          secondaryFarads: c2,
          shuntOhms: f.shuntOhms,
          primaryShuntOhms: 1e12,
          transfer: 0.98,
        });
        expect(Math.abs(formula / fired.secondaryVolts - 1)).toBeLessThan(0.15);
      }),
      { numRuns: 25, seed: 7 },
    );
  });
  it('swings higher at the points with looser coupling, and loses voltage with a fouled plug', () => {
    // Flux that the windings do not share swings with the condenser alone.
    expect(fire({ ...s06, coupling: 0.8 }).primaryVolts).toBeGreaterThan(1.05 * fire(s06).primaryVolts);
    expect(fire({ ...s06, shuntOhms: 200e3 }).secondaryVolts).toBeLessThan(0.5 * fire(s06).secondaryVolts);
  });
  it('burns for a millisecond or so with energy that was stored, less with resistance in the way', () => {
    const stored = 0.5 * 8e-3 * fire(s06).breakAmps ** 2;
    const [free, choked] = [5e3, 60e3].map((seriesOhms) => fire({ ...s06, plug: { strikeVolts: 12e3, seriesOhms } }));
    expect(free!.secondaryVolts).toBeLessThan(13e3);
    expect(free!.burnSeconds).toBeGreaterThan(0.8e-3);
    expect(free!.burnSeconds).toBeLessThan(4e-3);
    expect(free!.burnJoules).toBeLessThan(stored);
    expect(choked!.burnJoules).toBeLessThan(0.6 * free!.burnJoules);
    // The formula for burn energy says how much less, within a third.
    const shares = [5e3, 60e3].map((r) => burnJoules(stored, 70e-12, 12e3, r + 8e3));
    expect(choked!.burnJoules / free!.burnJoules / (shares[1]! / shares[0]!)).toBeGreaterThan(0.66);
    expect(choked!.burnJoules / free!.burnJoules / (shares[1]! / shares[0]!)).toBeLessThan(1.5);
  });
  it('does not burn where the gap asks for more than there is', () => {
    const fired = fire({ ...s06, plug: { strikeVolts: 60e3, seriesOhms: 5e3 } });
    expect(fired.burnJoules).toBe(0);
    expect(fired.secondaryVolts).toBeLessThan(40e3);
  });
});

const flywheel: Magneto = {
  primaryOhms: 0.8,
  henries: 3e-3,
  turnsRatio: 75,
  coupling: 0.95,
  secondaryOhms: 6000,
  secondaryFarads: 60e-12,
  shuntOhms: 1e12,
  voltsPerRadian: 0.16,
  polePairs: 1,
  pointsOhms: 0.03,
  condenserFarads: 0.2e-6,
  openOhms: 1e9,
  opensDegrees: 100,
  closedDegrees: 130,
  celsius: 20,
};

describe('magneto', () => {
  it.each([100, 250, 600, 2000])('at %d rev/min cuts the current that the driven R–L loop has by then', (rpm) => {
    expect(magnetoFires(flywheel, rpm).breakAmps / magnetoAmps(flywheel, rpm)).toBeCloseTo(1, 1.7);
  });
  it('with a magnet down by a fifth has a fifth less voltage and 36 % less energy', () => {
    const [whole, weak] = [magnetoAmps(flywheel, 250), magnetoAmps(weakened(flywheel, 0.8), 250)];
    expect(weak / whole).toBeCloseTo(0.8, 9);
    expect((weak / whole) ** 2).toBeCloseTo(0.64, 9);
    const volts =
      magnetoFires(weakened(flywheel, 0.8), 250).secondaryVolts / magnetoFires(flywheel, 250).secondaryVolts;
    expect(volts).toBeCloseTo(0.8, 1.7);
  });
  it('with a sheared key opens its points off the peak', () => {
    const sound = magnetoAmps(flywheel, 250);
    expect(magnetoAmps(sheared(flywheel, 40), 250)).toBeLessThan(0.9 * sound);
    expect(magnetoAmps(sheared(flywheel, -40), 250)).toBeLessThan(0.9 * sound);
  });
  it('hot has more resistance and less current', () => {
    expect(magnetoAmps({ ...flywheel, celsius: 100 }, 150)).toBeLessThan(magnetoAmps(flywheel, 150));
  });
  it('cannot fire below a speed, which a weak magnet raises', () => {
    const least = leastFiringRpm(flywheel, 8e3);
    expect(magnetoFires(flywheel, least * 0.95).secondaryVolts).toBeLessThan(8e3);
    expect(magnetoFires(flywheel, least).secondaryVolts).toBeGreaterThanOrEqual(8e3);
    expect(leastFiringRpm(weakened(flywheel, 0.7), 8e3)).toBeGreaterThan(least * 1.2);
    expect(leastFiringRpm(flywheel, 500e3)).toBe(Infinity);
  });
});

const charge: StatorCoil = { voltsPerRpm: 0.6, polePairs: 3, ohms20: 500, henries: 0.15, celsius: 20 };

describe('stator', () => {
  it('on a load is what the transient of the same circuit peaks at', () => {
    const rpm = 400;
    const elements: Element[] = [
      {
        type: 'voltage',
        id: 'e',
        a: 'e',
        b: '0',
        volts: 0,
        wave: { kind: 'sine', offset: 0, amplitude: openPeakVolts(charge, rpm), hertz: 20, delay: 0, damping: 0 },
      },
      { type: 'resistor', id: 'r', a: 'e', b: 'l', ohms: 500 },
      { type: 'inductor', id: 'l', a: 'l', b: 'out', henries: 0.15 },
      { type: 'resistor', id: 'load', a: 'out', b: '0', ohms: 800 },
    ];
    const run = solveTransient({ elements, couplings: [] }, { until: 0.3 });
    if (!run.ok) throw new Error(run.code);
    const peak = measure({ at: run.at, values: run.volts('out') }, 0.2, 0.3).max;
    expect(peak / loadedPeakVolts(charge, rpm, 800)).toBeCloseTo(1, 2);
  });
  it('into a short flattens towards k/L: at speed the resistance no longer matters', () => {
    const limit = charge.voltsPerRpm / (2 * Math.PI * (charge.polePairs / 60) * charge.henries);
    expect(shortPeakAmps(charge, 200_000) / limit).toBeCloseTo(1, 2);
    expect(shortPeakAmps(charge, 40_000) / shortPeakAmps(charge, 20_000)).toBeLessThan(1.15);
  });
  it('reaches a voltage at a speed, and never where its reactance stands in the way', () => {
    const rpm = leastRpm(charge, 150, 2000);
    expect(loadedPeakVolts(charge, rpm, 2000)).toBeCloseTo(150, 0);
    expect(leastRpm(charge, 150, 10)).toBe(Infinity);
  });
  it('three phases through six diodes give 1.35·V_LL less two diodes, as their transient says', () => {
    const [a, b, c] = threePhases(3000, 6, 0.01);
    const phase = (id: string, wave: typeof a & object): Element[] => [
      { type: 'voltage', id: `e${id}`, a: `${id}0`, b: 'star', volts: 0, wave },
      { type: 'resistor', id: `r${id}`, a: `${id}0`, b: id, ohms: 0.02 },
      { type: 'diode', id: `up${id}`, a: id, b: 'plus', saturationAmps: 1e-9, emission: 1.7, seriesOhms: 0.01 },
      { type: 'diode', id: `down${id}`, a: '0', b: id, saturationAmps: 1e-9, emission: 1.7, seriesOhms: 0.01 },
    ];
    const elements: Element[] = [
      ...phase('a', a!),
      ...phase('b', b!),
      ...phase('c', c!),
      { type: 'resistor', id: 'tie', a: 'star', b: '0', ohms: 1e6 },
      { type: 'resistor', id: 'load', a: 'plus', b: '0', ohms: 200 },
    ];
    const run = solveTransient({ elements, couplings: [] }, { until: 0.02 });
    if (!run.ok) throw new Error(run.code);
    const line = (30 * Math.sqrt(3)) / Math.SQRT2;
    const mean = measure({ at: run.at, values: run.volts('plus') }, 0.01, 0.02).mean;
    expect(mean).toBeCloseTo(bridgeVolts(line, 0.72), 0);
    expect(bridgeVolts(line, 0) / line).toBeCloseTo(1.35, 2);
  });
});

describe('peak adapter', () => {
  const coil = (ohms: number): Circuit => ({
    couplings: [],
    elements: [
      {
        type: 'voltage',
        id: 'e',
        a: 'e',
        b: '0',
        volts: 0,
        wave: { kind: 'sine', offset: 0, amplitude: 180, hertz: 25, delay: 0, damping: 0 },
      },
      { type: 'resistor', id: 'r', a: 'e', b: 'l', ohms },
      { type: 'inductor', id: 'lg', a: 'l', b: 'out', henries: 0.2, initialAmps: 0 },
      { type: 'resistor', id: 'loss', a: 'out', b: '0', ohms: 100e3 },
    ],
  });
  it('shows what s10 shows of a sound coil', () => {
    const shown = adapterReading(coil(500), 'out', 0.5, 0.08);
    expect(
      Math.abs(shown / solvedElsewhere('s10_tran_peak_adapter_charge_coil', 'v(am)', { t: 0.5 }) - 1),
    ).toBeLessThan(0.02);
  });
  it('is brought to the rated speed in proportion, and asks for a turning engine', () => {
    expect(normalisedPeak(120, 240, 400)).toBe(200);
    expect(() => normalisedPeak(120, 0, 400)).toThrow('turning engine');
  });
});

/** The unit of reference s09: 250 V at 100 Hz, 500 Ω, 0.15 H, into 1 µF. */
const unit: CapacitorDischarge = {
  voltsPerRpm: 250 / 2000,
  polePairs: 3,
  chargeOhms: 500,
  chargeHenries: 0.15,
  celsius: 20,
  chargeShuntOhms: 30e3,
  storeFarads: 1e-6,
  storeLeakOhms: 1e9,
  thyristorOhms: 0.2,
  firingsPerTurn: 1,
  primaryOhms: 0.5,
  henries: 1.2e-3,
  turnsRatio: 70,
  coupling: 0.97,
  secondaryOhms: 3000,
  secondaryFarads: 60e-12,
  shuntOhms: 2e6,
};

describe('capacitor discharge', () => {
  it('charges as s09 does', () => {
    const { circuit, until } = dischargeCircuit(unit, 2000, false);
    const run = solveTransient(circuit, { until, fromInitial: true });
    if (!run.ok) throw new Error(run.code);
    for (const t of [0.005, 0.015]) {
      const expected = solvedElsewhere('s09_tran_cdi_one_coil', 'v(cap)', { t });
      expect(Math.abs(valueAt({ at: run.at, values: run.volts('cap') }, t) / expected - 1)).toBeLessThan(0.02);
    }
  });
  it('raises no more than energy allows, ½·C·V², and no less than most of what the turns do', () => {
    const { storeVolts, secondaryVolts, primaryVolts } = discharge(unit, 2000);
    expect(secondaryVolts).toBeLessThan(storeVolts * Math.sqrt(1e-6 / 60e-12));
    expect(secondaryVolts).toBeGreaterThan(0.8 * 70 * storeVolts);
    expect(primaryVolts / storeVolts).toBeGreaterThan(0.8);
  });
  it('on load and off it tell a bad joint from a weak coil and a leaking store', () => {
    const open = { ...unit, chargeShuntOhms: 1e9 };
    const [on, off] = [discharge(open, 2000).storeVolts, offLoadVolts(open, 2000)];
    const joint = { ...open, chargeOhms: 47_000 };
    // The joint fills the store in time when nothing empties it.
    expect(offLoadVolts(joint, 2000) / off).toBeGreaterThan(0.9);
    expect(discharge(joint, 2000).storeVolts / on).toBeLessThan(0.7);
    const weak = { ...open, voltsPerRpm: open.voltsPerRpm * 0.6 };
    expect(offLoadVolts(weak, 2000) / off).toBeCloseTo(0.6, 1);
    expect(discharge(weak, 2000).storeVolts / on).toBeCloseTo(0.6, 1);
    const leaky = { ...open, storeLeakOhms: 5e3 };
    expect(offLoadVolts(leaky, 500) / offLoadVolts(open, 500)).toBeLessThan(0.8);
  });
  it('goes with cranking speed, and with the stop circuit half earthed goes down', () => {
    const slow = discharge(unit, 200).storeVolts;
    expect(discharge(unit, 400).storeVolts / slow).toBeGreaterThan(1.5);
    expect(discharge({ ...unit, chargeShuntOhms: 300 }, 200).storeVolts).toBeLessThan(0.5 * slow);
  });
});
