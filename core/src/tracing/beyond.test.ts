import { describe, expect, it } from 'vitest';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { JobEvent } from '../schema/job.ts';
import { faultShares } from './suspects.ts';
import { Tracer } from './trace.ts';

/** A shop with a lamp and eyes. */
const poor = { ...house, owns: ['test lamp' as const, 'eyes' as const] };
const tracer = new Tracer(machine({ cylinders: 4, ballast: 'none' }), poor);
const now = { warmth: 'unknown', faultPresent: 'yes' } as const;

describe('an instrument that the shop does not own', () => {
  it('has none of its checks proposed', () => {
    const ranked = tracer.trace(noFire, [], now).ranked.map((r) => r.check.instrument);
    expect(new Set(ranked)).toEqual(new Set(['test lamp', 'eyes']));
  });
  it('one chosen cylinder is never proposed either, and its spark counts: what has one at lead 3 is not the coil', () => {
    const rich = new Tracer(machine({ cylinders: 4, ballast: 'none' }), house);
    const ids = new Set(rich.trace(noFire, [], now).ranked.map((r) => r.check.id));
    for (const n of [2, 3, 4]) {
      expect(ids.has(`spark-cylinder-${n}`)).toBe(false);
      expect(rich.weigher.check(`spark-cylinder-${n}`)!.label).toBe(`Spark at plug lead ${n}`);
    }
    const coil = (events: JobEvent[]) =>
      [...faultShares(rich.belief(noFire, events))]
        .filter(([f]) => f.part.id === 'coil')
        .reduce((sum, [, share]) => sum + share, 0);
    expect(coil([reading('spark-cylinder-3', 'good')])).toBeLessThan(0.2 * coil([]));
    expect(coil([reading('spark-cylinder-3', 'none')])).toBeGreaterThan(coil([]));
  });
  it('and yet a reading that somebody took with it counts as it would anywhere', () => {
    const rich = new Tracer(machine({ cylinders: 4, ballast: 'none' }), house);
    const share = (t: Tracer) =>
      [...faultShares(t.belief(noFire, [reading('points-drop', 6)]))].find(([f]) => f.id === 'points.burnt')![1];
    expect(tracer.weigher.check('points-drop')).toBeDefined();
    expect(share(tracer)).toBeCloseTo(share(rich), 12);
    expect(share(tracer)).toBeGreaterThan(0.5);
  });
});
