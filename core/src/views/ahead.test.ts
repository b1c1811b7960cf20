import { describe, expect, it } from 'vitest';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import type { JobBody } from '../schema/job.ts';
import { jobRuler } from '../tracing/told.ts';
import { TracerCache } from '../tracing/tracerCache.ts';
import { aheadOf, packed, unpacked } from './ahead.ts';
import { modelView } from './model.ts';
import { traceView } from './views.ts';

const job = (stage: JobBody['stage']): JobBody => ({
  title: '',
  complaint: noFire,
  stage,
  waitsFor: '',
  openedAt: '2026-01-01T00:00:00Z',
  closedAt: null,
  closedBecause: '',
});
const KEPT = 4;

describe('worked out ahead', () => {
  const cache = new TracerCache(KEPT);
  const car = machine();
  const tracer = cache.for(car, house);
  it('is what the page would work out for itself of the same facts', () => {
    const events = [reading('battery-rest', 12.5), reading('ballast-ohms', 'OL')];
    const ahead = aheadOf(cache, car, house, job('trace'), events);
    expect(ahead.trace).toEqual(traceView(tracer, noFire, events, ahead.now));
    expect(ahead.model).toEqual(modelView(cache, car, house));
    const proposed =
      ahead.trace.verdict.kind === 'second check' ? ahead.trace.verdict.check.id : ahead.trace.ranked[0]!.id;
    expect(ahead.ruler!.check.id).toBe(proposed);
    expect(ahead.ruler!.ruler).toEqual(jobRuler(tracer, noFire, events, tracer.weigher.check(proposed)!));
  });
  it('looks while the job is at its look', () => {
    expect(aheadOf(cache, car, house, job('look'), []).ruler!.check.look).toBe(true);
  });
  it.each([
    ['points', car],
    ['a generator', CHARGED['generator, six volts, positive earth']!],
  ])('%s: the network carries it unchanged', (_name, body) => {
    for (const stage of ['look', 'trace'] as const) {
      const ahead = aheadOf(cache, body, house, job(stage), [reading('battery-rest', 12.5)]);
      expect(unpacked(packed(ahead))).toEqual(ahead);
    }
  });
});
