import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { absurd } from './plausible.ts';
import { Tracer } from './trace.ts';

describe('what no machine of this kind can show is asked about', () => {
  const { weigher } = new Tracer(machine(), house);
  const far = (checkId: string, value: number, of = weigher) =>
    absurd(of, of.check(checkId)!, { kind: 'number', value });

  it('a battery of 126 V, a gap of 40 cm; not one of 12.6 V, and not nothing at all', () => {
    expect(far('battery-rest', 126)).toBe(true);
    expect(far('battery-rest', -126)).toBe(true);
    expect(far('battery-rest', 12.6)).toBe(false);
    expect(far('battery-rest', 0)).toBe(false);
    expect(far('points-gap', 0.4)).toBe(true);
    expect(far('points-gap', 0.4e-3)).toBe(false);
  });
  it('what only a fault shows is no surprise', () => {
    // A wide gap is a fault of the points, and ten times the plate's drop is a joint that has gone.
    expect(far('points-gap', 0.9e-3)).toBe(false);
    expect(far('points-drop', 8)).toBe(false);
  });
  it('OL and high ohms come with any broken joint', () => {
    expect(absurd(weigher, weigher.check('coil-primary')!, { kind: 'open' })).toBe(false);
    expect(far('coil-primary', 4e6)).toBe(false);
    expect(far('coil-primary', 2e9)).toBe(true);
  });
  it('what is told in words has no range to be on', () => {
    const look = weigher.check('look-fuse')!;
    expect(absurd(weigher, look, { kind: 'word', word: 'blown' })).toBe(false);
    expect(absurd(weigher, look, { kind: 'number', value: 1e12 })).toBe(false);
  });
  it('a discharge ignition peaks at hundreds of volts, and nobody is asked about it', () => {
    const discharge = new Tracer(
      machine({ layout: 'capacitor-discharge', cylinders: 3, compressionRatio: 7, ballast: 'none' }),
      house,
    ).weigher;
    const peak = discharge.model.checks.find((c) => c.id === 'charge-peak-loaded')!;
    for (const value of [20, 180, 260]) expect(absurd(discharge, peak, { kind: 'number', value })).toBe(false);
    expect(absurd(discharge, peak, { kind: 'number', value: 5000 })).toBe(true);
  });
});
