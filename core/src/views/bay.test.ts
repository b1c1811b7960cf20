import { describe, expect, it } from 'vitest';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { JobBody, JobEvent } from '../schema/job.ts';
import { Tracer } from '../tracing/trace.ts';
import { TracerCache } from '../tracing/tracerCache.ts';
import { baySummary, nowOf } from './bay.ts';
import { traceView } from './views.ts';
import { modelView, wellsView } from './model.ts';

const tracer = new Tracer(machine(), house);
const job = (change: Partial<JobBody> = {}): JobBody => ({
  title: '',
  complaint: noFire,
  stage: 'trace',
  waitsFor: '',
  openedAt: '2026-01-01T00:00:00Z',
  closedAt: null,
  closedBecause: '',
  ...change,
});
const cold: JobEvent[] = [
  reading('ballast-volts', 12.4),
  reading('coil-feed-closed', 0.01),
  reading('coil-feed-closed', 0.01, { id: 'again' }),
  reading('ballast-ohms', 'OL'),
];

const bayOf = (body: JobBody, events: readonly JobEvent[]) =>
  baySummary(tracer, traceView(tracer, body.complaint, events, nowOf(body, events)), body, events);

describe('what a bay shows', () => {
  it('names nobody before anything was read, and the check that comes first', () => {
    const bay = bayOf(job(), []);
    expect(bay.lost).toBeNull();
    expect(bay.next).toBe(tracer.trace(noFire, [], nowOf(job(), [])).ranked[0]!.check.label);
    expect(bay.states.map((s) => s.id)).toEqual(bay.stations.map((s) => s.id));
  });
  it('names the suspect that leads, and the repair that is called for', () => {
    const bay = bayOf(job(), cold);
    expect(bay.lost).toMatchObject({ part: 'Ballast resistor', how: 'burnt out' });
    expect(bay.next).toMatch(/^Replace the ballast/);
  });
  it('follows the stage and what was done', () => {
    expect(bayOf(job({ stage: 'set up' }), cold).next).toBe('Set it up');
    expect(bayOf(job({ stage: 'prove' }), cold).next).toBe('Prove it, then close');
    expect(bayOf(job(), [...cold, fix('ballast.replace')]).next).not.toMatch(/^Replace/);
  });
});

describe('how things stand', () => {
  it('as at the last reading; a constant fault is there', () => {
    expect(nowOf(job(), [])).toEqual({ warmth: 'unknown', faultPresent: 'yes' });
    const hot = job({ complaint: { ...noFire, pattern: 'hot' } });
    expect(nowOf(hot, [])).toEqual({ warmth: 'unknown', faultPresent: 'unknown' });
    const last = reading('battery-rest', 12.4, { warmth: 'hot', faultPresent: 'no', soakMinutes: 20 });
    expect(nowOf(hot, [...cold, last])).toEqual({ warmth: 'hot', faultPresent: 'no' });
  });
});

describe('a machine without its jobs', () => {
  const tracers = new TracerCache(3);
  it('has its checks, with what they should read', () => {
    const view = modelView(tracers, machine(), house);
    expect(view.unsolved).toEqual([]);
    expect(view.checks.map((c) => c.check.id)).toContain('battery-rest');
    const wells = wellsView(tracers.for(machine(), house), ['battery-rest', 'no such check']);
    expect(Object.keys(wells)).toEqual(['battery-rest']);
    expect(wells['battery-rest']!.low).toBeGreaterThan(12);
  });
  it('with a figure that leaves no answer shows its figures, and says which to change', () => {
    const plates = { 'coil.primaryOhms': { low: 0, high: 0, source: 'manual' as const, note: '' } };
    const view = modelView(tracers, machine({}, plates), house);
    expect(view.checks).toEqual([]);
    expect(view.unsolved).toEqual([
      { figure: 'coil.primaryOhms', words: expect.stringMatching(/given as 0 Ω.*change the figure/) },
    ]);
    expect(view.plates.find((p) => p.id === 'coil.primaryOhms')).toMatchObject({ low: 0, high: 0 });
  });
});
