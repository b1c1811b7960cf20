import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveOperatingPoint } from '../operatingPoint.ts';
import type { Element, Motor } from '../types.ts';
import { motorAt } from './motor.ts';

const starter: Motor = {
  type: 'motor',
  id: 'm',
  a: 'in',
  b: '0',
  ohms: 0.0166,
  voltsPerRadian: 0.46,
  saturationAmps: 40,
  stillTorque: 23,
  torquePerRadian: 0.75,
};

/** The same motor let run up in time by small steps: a second way to the same speed. Inertia only sets how long it takes. */
function runUp(e: Motor, volts: number): { amps: number; speed: number } {
  let speed = 0;
  let amps = volts / e.ohms;
  for (let t = 0; t < 40_000; t++) {
    for (let k = 0; k < 30; k++) {
      const phi = e.saturationAmps > 0 ? amps / (amps + e.saturationAmps) : 1;
      amps += 0.5 * (Math.max(0, volts - e.voltsPerRadian * phi * speed) / e.ohms - amps);
    }
    const phi = e.saturationAmps > 0 ? amps / (amps + e.saturationAmps) : 1;
    const torque = e.voltsPerRadian * phi * amps - e.stillTorque - e.torquePerRadian * speed;
    speed = Math.max(0, speed + (1e-3 * torque) / 0.5);
  }
  return { amps, speed };
}

describe('a motor at its steady speed', () => {
  it.each([
    [10, starter],
    [8, starter],
    [10, { ...starter, saturationAmps: 0, voltsPerRadian: 0.35 }],
    [5, { ...starter, stillTorque: 60 }],
  ])('at %s V is where letting it run up in time ends', (volts, e) => {
    const [steady, run] = [motorAt(e, volts), runUp(e, volts)];
    expect(steady.speed).toBeCloseTo(run.speed, 2);
    expect(steady.amps / run.amps).toBeCloseTo(1, 3);
  });
  it('held fast it is its own resistance', () => {
    expect(motorAt({ ...starter, stillTorque: 1e6 }, 10)).toMatchObject({ amps: 10 / starter.ohms, speed: 0 });
  });
  it('pulls less and turns more slowly on less volts, and turns the same way round on either polarity', () => {
    const [more, less, back] = [motorAt(starter, 10), motorAt(starter, 8), motorAt(starter, -10)];
    expect(less.speed).toBeLessThan(more.speed);
    expect(back).toEqual({ ...more, amps: -more.amps });
  });
  it('gives back the power that it takes as heat and as work', () => {
    const { amps, speed } = motorAt(starter, 10);
    const torque = starter.stillTorque + starter.torquePerRadian * speed;
    expect(10 * amps).toBeCloseTo(amps ** 2 * starter.ohms + torque * speed, 6);
  });
  it('says its slope as a small step finds it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 14, noNaN: true }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (v, load) => {
          const e = { ...starter, stillTorque: load };
          const { slope, speed } = motorAt(e, v);
          if (speed < 0.01) return;
          const found = (motorAt(e, v + 1e-5).amps - motorAt(e, v - 1e-5).amps) / 2e-5;
          expect(Math.abs(slope / found - 1)).toBeLessThan(1e-3);
        },
      ),
      { numRuns: 100, seed: 3 },
    );
  });
  it('and battery, cable and strap come out together', () => {
    const r = (id: string, a: string, b: string, ohms: number): Element => ({ type: 'resistor', id, a, b, ohms });
    const solve = (strap: number) => {
      const point = solveOperatingPoint([
        { type: 'voltage', id: 'b', a: 'emf', b: '0', volts: 12.6 },
        r('inside', 'emf', 'post', 0.01),
        r('cable', 'post', 'in', 0.001),
        r('strap', 'block', '0', strap),
        { ...starter, b: 'block' },
      ]);
      if (!point.ok) throw new Error(point.code);
      const amps = point.amps('m');
      expect(point.volts('in') - point.volts('block')).toBeCloseTo(12.6 - amps * (0.011 + strap), 6);
      return { amps, speed: motorAt(starter, point.volts('in') - point.volts('block')).speed };
    };
    const [sound, corroded] = [solve(0.0005), solve(0.05)];
    expect(sound.speed).toBeGreaterThan(18);
    expect(corroded.speed).toBeLessThan(0.8 * sound.speed);
    expect(corroded.amps).toBeLessThan(sound.amps);
  });
});
