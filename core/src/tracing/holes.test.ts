import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { house, machine, noFire } from '../__tests__/machines.ts';
import { holesOf } from '../practice/holes.ts';
import { Tracer } from './trace.ts';

describe('no hole between sound and failed', () => {
  // All kinds are swept by `npm run -s bench holes`; here one of each trail that measures most.
  it.each([
    ['points', machine(), 'no-fire'],
    ['a flywheel magneto', machine({ layout: 'flywheel-magneto', cylinders: 1, ballast: 'none' }), 'no-fire'],
    ['a starter with a relay', CRANKED['relay and an interlock, with breaker points']!, 'crank-nothing'],
    ['an alternator', CHARGED['alternator with a lamp']!, 'no-charge'],
  ] as const)(
    '%s: whatever one check reads, from far below to far above, some part explains it',
    (_name, body, symptom) => {
      const tracer = new Tracer(body, house);
      const { swept, holes } = holesOf(tracer, { ...noFire, symptom }, PLACES);
      expect(swept).toBeGreaterThan(8 * PLACES);
      expect(holes).toEqual([]);
    },
  );
});
const PLACES = 7;
