import { describe, expect, it } from 'vitest';
import { valueAt } from '../network/index.ts';
import { discharge, dischargeCircuit, dumpedVolts, storeVolts, type CapacitorDischarge } from './index.ts';

const unit: CapacitorDischarge = {
  voltsPerRpm: 0.73,
  polePairs: 3,
  chargeOhms: 510,
  chargeHenries: 0.5,
  celsius: 20,
  chargeShuntOhms: 1e8,
  storeFarads: 1e-6,
  storeLeakOhms: 1e7,
  thyristorOhms: 0.1,
  firingsPerTurn: 3,
  primaryOhms: 0.45,
  henries: 1.2e-3,
  turnsRatio: 70,
  coupling: 0.98,
  secondaryOhms: 3300,
  secondaryFarads: 60e-12,
  shuntOhms: 1e8,
};

/** The store of the closed form, its source by Thévenin. */
function quick(u: CapacitorDischarge, rpm: number): number {
  const share = u.chargeShuntOhms / (u.chargeShuntOhms + u.chargeOhms);
  return storeVolts({
    peakVolts: u.voltsPerRpm * rpm * share,
    sourceOhms: u.chargeOhms * share,
    swingSeconds: 60 / (rpm * u.polePairs),
    swings: Math.round(u.polePairs / u.firingsPerTurn),
    farads: u.storeFarads,
    leakOhms: u.storeLeakOhms,
  });
}
/** The same, solved through time: just before the store is dumped. */
function solved(u: CapacitorDischarge, rpm: number): number {
  const { run } = discharge(u, rpm);
  return valueAt({ at: run.at, values: run.volts('cap') }, dischargeCircuit(u, rpm).dumpsAt - 2e-5);
}

describe('the store between two firings, against the transient', () => {
  it.each([
    ['sound', {}],
    ['a leaking store', { storeLeakOhms: 50e3 }],
    ['a store that hardly holds', { storeLeakOhms: 10e3 }],
    ['a dirty connector', { chargeOhms: 50_510 }],
    ['a stop line half earthed', { chargeShuntOhms: 300 }],
    ['one firing a turn', { firingsPerTurn: 1 }],
    ['a larger store', { storeFarads: 1.9e-6 }],
  ])('%s', (_name, change) => {
    for (const rpm of [200, 300, 600]) {
      const u = { ...unit, ...change };
      expect(Math.abs(quick(u, rpm) / solved(u, rpm) - 1), `${rpm} rev/min`).toBeLessThan(0.04);
    }
  });
});

describe('the secondary when the store is dumped, against the transient', () => {
  const off = (change: Partial<CapacitorDischarge>): number => {
    const u = { ...unit, ...change };
    const { storeVolts: volts, secondaryVolts } = discharge(u, 300);
    const closed = dumpedVolts({
      storeVolts: volts,
      farads: u.storeFarads,
      henries: u.henries,
      turnsRatio: u.turnsRatio,
      coupling: u.coupling,
      secondaryFarads: u.secondaryFarads,
      shuntOhms: u.shuntOhms,
      loopOhms: u.primaryOhms + u.thyristorOhms,
    });
    return Math.abs(closed / secondaryVolts - 1);
  };
  it.each([
    {},
    { shuntOhms: 300e3 },
    { shuntOhms: 100e3 },
    { secondaryFarads: 90e-12 },
    { storeFarads: 1.9e-6 },
    { coupling: 0.97 },
    { primaryOhms: 5 },
  ])('%o within 8 %%', (change) => {
    expect(off(change)).toBeLessThan(0.08);
  });
  it.each([15, 40, 80, 200, 2000])('through a poor earth of %d Ω within 15 %%', (ohms) => {
    expect(off({ primaryOhms: 0.45 + ohms })).toBeLessThan(0.15);
  });
});
