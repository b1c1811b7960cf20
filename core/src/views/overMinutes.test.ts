import { describe, expect, it } from 'vitest';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house } from '../__tests__/machines.ts';
import { STOPPED } from '../__tests__/stoppedMachines.ts';
import { headPascals } from '../fluids/index.ts';
import { buildModel } from '../tracing/model.ts';
import { overMinutes } from './overMinutes.ts';

describe('pressures over the minutes', () => {
  const mower = buildModel(FUELLED['by its own weight, a magneto']!, house);
  it('a tank that breathes stays at the air outside for forty minutes', () => {
    const [tank] = overMinutes(mower);
    expect(tank!.minutes.at(-1)).toBeCloseTo(40, 6);
    expect(Math.max(...tank!.pascals.map(Math.abs))).toBeLessThan(50);
  });
  it('one that cannot sinks until its vacuum holds the fuel up, and the engine stalls', () => {
    const [tank] = overMinutes(mower, 'fuel-vent.blocked');
    expect(tank!.minutes.at(-1)).toBeLessThan(40);
    const falls = tank!.pascals.slice(1).map((p, k) => p - tank!.pascals[k]!);
    expect(Math.min(...falls)).toBeGreaterThan(-1);
    // Heads of 0.25 to 0.5 m: no more than the highest of them.
    expect(tank!.pascals.at(-1)).toBeLessThan(headPascals(0.5));
    expect(tank!.pascals.at(-1)).toBeGreaterThan(0.5 * headPascals(0.25));
  });
  it('nothing is drawn of a tank that gives nothing', () => {
    expect(overMinutes(mower, 'fuel-tank.empty')).toEqual([]);
  });
  it('a vacuum line holds a minute and more when it is sound, and falls at once through a torn diaphragm', () => {
    const vacuum = buildModel(STOPPED['vacuum']!, house);
    const after = (fault?: string) => {
      const [line] = overMinutes(vacuum, fault);
      return line!.pascals[line!.minutes.findIndex((m) => m >= 1)]! / line!.pascals[0]!;
    };
    expect(after()).toBeGreaterThan(0.7);
    expect(after('stop-actuator.leaks')).toBeLessThan(0.1);
    expect(overMinutes(buildModel(STOPPED['cable']!, house))).toEqual([]);
  });
});
