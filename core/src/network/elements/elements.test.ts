import { describe, expect, it } from 'vitest';
import type { Diode, Element, Filament } from '../types.ts';
import { floatingNodes } from '../grounding.ts';
import { solveOperatingPoint } from '../operatingPoint.ts';
import { diodeAmps } from './diode.ts';
import { filamentOhms, modelOf } from './index.ts';

const silicon: Diode = { type: 'diode', id: 'd', a: 'a', b: '0', saturationAmps: 2e-9, emission: 1.8, seriesOhms: 0.1 };
const THERMAL = 8.617333e-5 * 300.15;

describe('diode', () => {
  /** Second method: bisection on the junction's own voltage. */
  function bisected(e: Diode, volts: number): number {
    let [low, high] = [-1, volts];
    for (let i = 0; i < 200; i++) {
      const vj = (low + high) / 2;
      const amps = e.saturationAmps * Math.expm1(vj / (e.emission * THERMAL));
      if (vj + amps * e.seriesOhms > volts) high = vj;
      else low = vj;
    }
    return e.saturationAmps * Math.expm1(low / (e.emission * THERMAL));
  }
  it.each([0.2, 0.5, 0.8, 1.2, 5])('at %d V is what bisection finds', (v) => {
    expect(diodeAmps(silicon, v).amps / bisected(silicon, v)).toBeCloseTo(1, 6);
  });
  it('has the slope of its own curve', () => {
    for (const v of [-2, 0.3, 0.7, 1]) {
      const h = 1e-6;
      const slope = (diodeAmps(silicon, v + h).amps - diodeAmps(silicon, v - h).amps) / (2 * h);
      expect(diodeAmps(silicon, v).slope / (slope || 1)).toBeCloseTo(slope === 0 ? 0 : 1, 3);
    }
  });
  it('blocks backwards', () => {
    expect(diodeAmps(silicon, -10).amps).toBeCloseTo(-2e-9, 12);
  });
  it('solves from rest against a stiff source, with and without series resistance', () => {
    for (const seriesOhms of [0, 0.1]) {
      const result = solveOperatingPoint([
        { type: 'voltage', id: 'v', a: 'in', b: '0', volts: 12 },
        { type: 'resistor', id: 'r', a: 'in', b: 'a', ohms: 100 },
        { ...silicon, seriesOhms },
      ]);
      if (!result.ok) throw new Error(result.code);
      expect(result.volts('a')).toBeGreaterThan(0.5);
      expect(result.volts('a')).toBeLessThan(1);
      expect(result.amps('r')).toBeCloseTo(result.amps('d'), 9);
    }
  });
});

describe('filament', () => {
  const lamp: Filament = { type: 'filament', id: 'l', a: 'a', b: '0', hotOhms: 48, ratedVolts: 12 };
  it('grows from a tenth cold to hot, without a step, alike both ways round', () => {
    let last = 0;
    for (let v = 0; v <= 12; v += 0.25) {
      const ohms = filamentOhms(lamp, v);
      expect(ohms).toBeGreaterThan(last);
      expect(filamentOhms(lamp, -v)).toBe(ohms);
      last = ohms;
    }
    expect(filamentOhms(lamp, 0)).toBeCloseTo(4.8, 1);
    expect(filamentOhms(lamp, 12)).toBeCloseTo(48, 9);
  });
});

describe('the question of ground', () => {
  const r = (id: string, a: string, b: string, ohms = 10): Element => ({ type: 'resistor', id, a, b, ohms });
  it('is asked of the graph', () => {
    expect(floatingNodes([r('1', 'a', '0'), r('2', 'b', 'c')])).toEqual(['b', 'c']);
    expect(floatingNodes([r('1', 'a', '0'), r('2', 'b', 'a')])).toEqual([]);
  });
  it('a capacitor, a current source and a thousand gigohms hold nothing to ground', () => {
    expect(floatingNodes([r('0', 'x', '0'), { type: 'capacitor', id: 'c', a: 'a', b: '0', farads: 1 }])).toEqual(['a']);
    expect(floatingNodes([r('0', 'x', '0'), { type: 'current', id: 'i', a: 'a', b: '0', amps: 1 }])).toEqual(['a']);
    expect(floatingNodes([r('0', 'x', '0'), r('1', 'a', '0', 1e12)])).toEqual(['a']);
  });
  it('knows a model for every kind of element', () => {
    for (const type of [
      'resistor',
      'voltage',
      'current',
      'switch',
      'diode',
      'filament',
      'inductor',
      'capacitor',
    ] as const)
      expect(modelOf({ type } as Element).type).toBe(type);
  });
});
