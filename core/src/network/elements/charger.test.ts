import { describe, expect, it } from 'vitest';
import { measure } from '../transient/measure.ts';
import { solveTransient } from '../transient/transient.ts';
import type { Charger, Element } from '../types.ts';
import { accumulatorAmps } from './accumulator.ts';
import { chargerAmps, chargerCan } from './charger.ts';

const machine: Charger = {
  type: 'charger',
  id: 'c',
  a: 'out',
  b: '0',
  sign: 1,
  winding: 'three',
  halfWave: false,
  emfVolts: 14,
  ohms: 0.2,
  reactanceOhms: 1.05,
  diodeVolts: 1.5,
  setVolts: 1e3,
  droopOhms: 1e-3,
};
/** A junction that has about three quarters of a volt over it at some amperes, as `diodeVolts` counts two of. */
const junction = (id: string, a: string, b: string): Element => ({
  type: 'diode',
  id,
  a,
  b,
  saturationAmps: 1e-9,
  emission: 1.3,
  seriesOhms: 2e-3,
});

/** The same machine wave by wave: sources behind resistance and inductance, diodes, a battery of steady volts. */
function byWaves(e: Charger, volts: number, hertz: number): number {
  const phases = e.winding === 'three' ? 3 : 1;
  const henries = e.reactanceOhms / (2 * Math.PI * hertz);
  const elements: Element[] = [{ type: 'voltage', id: 'battery', a: 'out', b: '0', volts }];
  for (let k = 0; k < phases; k++) {
    const star = phases === 3 ? 'star' : 'n1';
    elements.push(
      {
        type: 'voltage',
        id: `e${k}`,
        a: `s${k}`,
        b: star,
        volts: 0,
        wave: {
          kind: 'sine',
          offset: 0,
          amplitude: e.emfVolts * Math.SQRT2,
          hertz,
          delay: -k / (3 * hertz),
          damping: 0,
        },
      },
      { type: 'resistor', id: `r${k}`, a: `s${k}`, b: `l${k}`, ohms: e.ohms },
      { type: 'inductor', id: `x${k}`, a: `l${k}`, b: `p${k}`, henries },
      junction(`up${k}`, `p${k}`, 'out'),
      junction(`down${k}`, '0', `p${k}`),
    );
  }
  if (phases === 1) elements.push(junction('upn', 'n1', 'out'), junction('downn', '0', 'n1'));
  else elements.push({ type: 'resistor', id: 'tie', a: 'star', b: '0', ohms: 1e6 });
  const until = 14 / hertz;
  const run = solveTransient({ elements, couplings: [] }, { until, fromInitial: true, longest: 1 / (400 * hertz) });
  if (!run.ok) throw new Error(run.code);
  return measure({ at: run.at, values: run.amps('battery') }, 8 / hertz, until).mean;
}

describe('a rectified winding, averaged, against its waves', () => {
  it.each([
    ['three phases, well above the battery', machine, 13],
    ['three phases, at twice the speed', { ...machine, emfVolts: 28, reactanceOhms: 2.1 }, 14],
    ['one phase', { ...machine, winding: 'single', emfVolts: 30, ohms: 0.4, reactanceOhms: 2.4 }, 13],
    ['one phase, slowly', { ...machine, winding: 'single', emfVolts: 24, ohms: 0.5, reactanceOhms: 1.8 }, 12.5],
    ['one phase, fast', { ...machine, winding: 'single', emfVolts: 60, ohms: 0.4, reactanceOhms: 6 }, 14],
  ] as const)('%s: within 5 %', (_name, e, volts) => {
    const waves = byWaves(e, volts, 120);
    expect(Math.abs(chargerCan(e, volts).amps / waves - 1), `${chargerCan(e, volts).amps} ${waves}`).toBeLessThan(0.05);
  });
});

describe('a charger with its regulator', () => {
  it('gives what it can below the set point, and nothing above it', () => {
    const e = { ...machine, setVolts: 14.2, droopOhms: 0.012 };
    const can = -chargerAmps(e, 12.5).amps;
    expect(can).toBeCloseTo(chargerCan(e, 12.5).amps, 1);
    expect(Math.abs(chargerAmps(e, 14.4).amps)).toBeLessThan(0.1);
    expect(-chargerAmps(e, 14.1).amps).toBeCloseTo((14.2 - 14.1) / 0.012, 0);
  });
  it('its slope is what a small step finds, on either polarity', () => {
    for (const sign of [1, -1] as const) {
      const e = { ...machine, sign, setVolts: 14.2, droopOhms: 0.012 };
      for (const v of [11, 13.9, 14.19]) {
        const found = (chargerAmps(e, sign * v + 1e-6).amps - chargerAmps(e, sign * v - 1e-6).amps) / 2e-6;
        expect(chargerAmps(e, sign * v).slope / found).toBeCloseTo(1, 2);
      }
    }
  });
});

describe('a battery that may be charged', () => {
  const battery = {
    type: 'accumulator',
    id: 'b',
    a: 'x',
    b: '0',
    sign: 1,
    restVolts: 12.6,
    ohms: 0.01,
    chargeOhms: 0.4,
  } as const;
  it('gives through a hundredth of an ohm and takes through four tenths', () => {
    expect(accumulatorAmps(battery, 11.6).amps).toBeCloseTo(-100, 0);
    expect(accumulatorAmps(battery, 14.2).amps).toBeCloseTo(4, 0);
    expect(accumulatorAmps({ ...battery, sign: -1 }, -14.2).amps).toBeCloseTo(-4, 0);
  });
});
