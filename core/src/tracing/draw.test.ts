import { describe, expect, it } from 'vitest';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, machine } from '../__tests__/machines.ts';
import { seededRandom } from '../random/lcg.ts';
import { drawEvenly, drawSound, withFault } from './draw.ts';
import { buildModel } from './model.ts';

const band = (low: number, high: number) => ({ low, high, source: 'manual', note: '' }) as const;
const model = buildModel(
  machine({}, { 'coil.primaryOhms': band(1.4, 1.8), 'plug-1.shuntOhms': band(1e7, 1e9) }),
  house,
);
const draws = (part: string, figure: string, stretch = 1) => {
  const random = seededRandom(3);
  return Array.from({ length: 400 }, () => drawSound(model, random, stretch)[part]![figure]!);
};
const quantile = (values: number[], q: number) => [...values].sort((a, b) => a - b)[Math.floor(q * values.length)]!;

describe('figures of a sound machine', () => {
  it('lie in their band, near the middle more often than at its ends', () => {
    const ohms = draws('coil', 'primaryOhms');
    expect(Math.min(...ohms)).toBeGreaterThanOrEqual(1.4);
    expect(Math.max(...ohms)).toBeLessThanOrEqual(1.8);
    expect(quantile(ohms, 0.5)).toBeCloseTo(1.6, 1);
    // The mean of two even draws: half of them lie in the middle 29 % of the band, 1 − 1/√2.
    expect(quantile(ohms, 0.75) - quantile(ohms, 0.25)).toBeCloseTo(0.4 * (1 - Math.SQRT1_2), 1);
  });
  it('of a band of decades are drawn by ratio: as many below the geometric middle as above', () => {
    const ohms = draws('plug-1', 'shuntOhms');
    expect(Math.min(...ohms)).toBeGreaterThanOrEqual(1e7);
    expect(Math.max(...ohms)).toBeLessThanOrEqual(1e9);
    expect(ohms.filter((o) => o < 1e8).length / ohms.length).toBeCloseTo(0.5, 1);
  });
  it('unlike their plate go beyond it, but never to nothing', () => {
    for (const [part, figure, low, high] of [
      ['coil', 'primaryOhms', 1.4, 1.8],
      ['plug-1', 'shuntOhms', 1e7, 1e9],
    ] as const) {
      const far = draws(part, figure, 1.5);
      expect(far.some((o) => o < low || o > high)).toBe(true);
      expect(Math.min(...far)).toBeGreaterThan(low / 4);
      expect(Math.max(...far)).toBeLessThan(high * 4);
    }
  });
  it('unlike their plate stay what can be: no tank is fuller than full', () => {
    const gravity = buildModel(Object.values(FUELLED)[0]!, house);
    const random = seededRandom(5);
    const levels = Array.from({ length: 200 }, () => drawSound(gravity, random, 3)['fuel-tank']!['level']!);
    expect(Math.max(...levels)).toBe(0.97);
    expect(levels.filter((l) => l > 0.9 && l < 0.97).length).toBeGreaterThan(0);
  });
  it('stand for all of a plate when a few are drawn: each step of a band once, and as many below its middle as above', () => {
    const ohms = drawEvenly(model, 8).map((m) => m['coil']!['primaryOhms']!);
    // The mean of two even draws lies below x half widths off the middle with (1 + x)²/2: the borders of the eighths.
    const below = [0, 1, 2, 3].map((k) => Math.sqrt((2 * k) / 8) - 1);
    const borders = [...below, 0, ...below.map((x) => -x).reverse()].map((x) => 1.6 + 0.2 * x);
    for (const [k, o] of ohms.sort((a, b) => a - b).entries()) {
      expect(o).toBeGreaterThanOrEqual(borders[k]!);
      expect(o).toBeLessThanOrEqual(borders[k + 1]!);
    }
  });
  it('stay as they were when the machine has a part more', () => {
    const more = buildModel(machine({ fused: false }), house);
    const [one, other] = [buildModel(machine({ fused: true }), house), more].map((m) => drawEvenly(m, 8));
    expect(one![3]!['fuse']).toBeDefined();
    expect(other![3]!['fuse']).toBeUndefined();
    for (const part of more.machine.parts) expect(other![3]![part.id], part.id).toEqual(one![3]![part.id]);
  });
  it('a fault changes its own part and no other', () => {
    const sound = drawSound(model, seededRandom(1));
    for (const fault of model.faults) {
      const failed = withFault(model, sound, fault, 0.5);
      for (const part of model.machine.parts)
        if (part.id !== fault.part.id) expect(failed[part.id]).toBe(sound[part.id]);
      expect(failed[fault.part.id], fault.id).not.toEqual(sound[fault.part.id]);
    }
  });
});
