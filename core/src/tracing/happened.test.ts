import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, noFire, reading } from '../__tests__/machines.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { faultPriors } from './hypotheses.ts';
import { shows } from './presence.ts';
import { Tracer } from './trace.ts';

const alternator = new Tracer(CHARGED['alternator with a lamp']!, house);
const prior = (tracer: Tracer, complaint: typeof noFire, id: string) =>
  [...faultPriors(tracer.model, complaint)].find(([f]) => f.id === id)![1];

describe('what befell the machine', () => {
  it('jump leads the wrong way round point at diodes, regulator and fuse, not at the belt', () => {
    const after = { ...noFire, happened: ['jump leads reversed'] as const };
    const more = (id: string) =>
      prior(alternator, { ...after, happened: [...after.happened] }, id) / prior(alternator, noFire, id);
    expect(more('charger.diode-shorted')).toBeGreaterThan(3);
    expect(more('charge-regulator.dead')).toBeGreaterThan(3);
    expect(more('belt.slack')).toBeLessThan(1);
  });
  it('what stood under water has water in its fuel', () => {
    const tracer = new Tracer(Object.values(FUELLED)[0]!, house);
    const under = { ...noFire, happened: ['under water' as const] };
    expect(prior(tracer, under, 'fuel-tank.watered')).toBeGreaterThan(3 * prior(tracer, noFire, 'fuel-tank.watered'));
  });
});

describe('a complaint only when cold', () => {
  const cold = { ...noFire, pattern: 'cold' as const };
  it('is asked of a cold engine; what a warm one reads proves almost nothing', () => {
    expect(shows(cold, { warmth: 'cold', faultPresent: 'unknown' })).toBeGreaterThan(0.8);
    expect(shows(cold, { warmth: 'hot', faultPresent: 'unknown' })).toBeLessThan(0.1);
    expect(shows(cold, { warmth: 'hot', faultPresent: 'yes' })).toBe(1);
  });
  it('draws belief to what cold brings: a choke that stays open', () => {
    const tracer = new Tracer(Object.values(FUELLED)[0]!, house);
    expect(prior(tracer, cold, 'fuel-choke.open')).toBeGreaterThan(1.5 * prior(tracer, noFire, 'fuel-choke.open'));
  });
  it('a good spark from a warm engine clears a coil of a constant complaint, and hardly one of a cold one', () => {
    const left = (complaint: Complaint) => {
      const share = (events: JobEvent[]) =>
        alternator
          .belief(complaint, events)
          .weighed.filter((w) => w.faults[0]?.id === 'coil.primary-open')
          .reduce((sum, w) => sum + w.mass, 0);
      return share([reading('spark-coil-lead', 'good', { warmth: 'hot', faultPresent: 'unknown' })]) / share([]);
    };
    expect(left(noFire)).toBeLessThan(0.3);
    expect(left(cold)).toBeGreaterThan(2 * left(noFire));
  });
});
