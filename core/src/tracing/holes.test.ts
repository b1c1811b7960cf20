import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { house, machine, noFire } from '../__tests__/machines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import type { TrailFit } from '../schema/fitOut.ts';
import { holesOf } from '../practice/holes.ts';
import { unsaidOf } from '../practice/unsaid.ts';
import { Tracer } from './trace.ts';

const starter = CRANKED['relay and an interlock, with breaker points']!.fitOut.trails.find(
  (t): t is TrailFit & { trail: 'crank' } => t.trail === 'crank',
)!;
const alternator = CHARGED['alternator with a lamp']!.fitOut.trails.find(
  (t): t is TrailFit & { trail: 'charge' } => t.trail === 'charge',
)!;

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

describe('no word that nothing says', () => {
  // A word that no fault makes anybody say is a button that only misleads; of trails that nobody told others say it.
  it.each([
    ['a car', 'four cylinders, with spark, fuel, timing and air', [starter, alternator]],
    ['a small engine of two strokes', 'two strokes with reeds', []],
  ] as const)('%s with all its trails told', (_name, kind, more) => {
    const told = SQUEEZING[kind]!;
    const trails = [...told.fitOut.trails.filter((t) => !more.some((m) => m.trail === t.trail)), ...more];
    const body = { ...told, fitOut: { ...told.fitOut, trails } };
    expect(unsaidOf(new Tracer(body, house))).toEqual([]);
  });
});
