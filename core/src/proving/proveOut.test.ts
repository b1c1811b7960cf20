import { describe, expect, it } from 'vitest';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { Tracer } from '../tracing/trace.ts';
import { proven, proveOut } from './proveOut.ts';

const tracer = new Tracer(machine(), house);
const failed = [reading('points-drop', 6), reading('battery-rest', 12.5)];
const states = (complaint: Complaint, events: Parameters<typeof proveOut>[2]) =>
  Object.fromEntries(proveOut(tracer, complaint, events).map((p) => [p.check.id, p.state]));

describe('prove-out', () => {
  it('asks for what failed again, and for every spark; not for what passed', () => {
    expect(states(noFire, [...failed, fix('points.dress')])).toEqual({
      'try-it': 'to do',
      'points-drop': 'to do',
      'spark-every': 'to do',
    });
  });
  it('is proven when all of them pass after the repair', () => {
    const events = [
      ...failed,
      fix('points.dress'),
      reading('points-drop', 0.08),
      reading('spark-every', 'good on all'),
    ];
    expect(states(noFire, events)['try-it']).toBe('to do');
    events.push(reading('try-it', 'runs, but misses'));
    expect(states(noFire, events)['try-it']).toBe('failed');
    events.push(reading('try-it', 'runs even'));
    expect(proven(proveOut(tracer, noFire, events))).toBe(true);
  });
  it('a reading from before the repair proves nothing', () => {
    const events = [reading('spark-every', 'good on all'), ...failed, fix('points.dress')];
    expect(states(noFire, events)['spark-every']).toBe('to do');
  });
  it('a check that fails again is not proof', () => {
    const events = [...failed, fix('points.dress'), reading('points-drop', 5)];
    expect(states(noFire, events)['points-drop']).toBe('failed');
  });
  it('a gap that was set since the repair is measured: it passes inside its band, and not outside', () => {
    const tooWide = reading('points-gap', 0.9e-3);
    const set = (leftAt: number): JobEvent => ({
      type: 'setting',
      setting: { id: 's', figure: 'points.gapMetres', foundAt: null, leftAt, at: '2999-01-01T00:00:00Z' },
    });
    const gap = (...events: JobEvent[]) => states(noFire, events)['points-gap'];
    expect(gap(tooWide, fix('points.dress'))).toBe('to do');
    expect(gap(tooWide, fix('points.dress'), set(0.38e-3))).toBe('passed');
    expect(gap(tooWide, fix('points.dress'), set(0.8e-3))).toBe('failed');
    // Set before something else was repaired it may have moved again.
    expect(gap(tooWide, set(0.38e-3), fix('points.dress'))).toBe('to do');
    // Read again after it was set: the later of the two stands.
    expect(
      gap(tooWide, fix('points.dress'), set(0.38e-3), reading('points-gap', 0.9e-3, { at: '3000-01-01T00:00:00Z' })),
    ).toBe('failed');
  });
  it('without a repair nothing is proven', () => {
    expect(proven(proveOut(tracer, noFire, [reading('spark-every', 'good on all')]))).toBe(false);
  });
  it('what failed hot must pass hot', () => {
    const hot: Complaint = { ...noFire, symptom: 'dies', pattern: 'hot' };
    const cold = [
      ...failed,
      fix('points.dress'),
      reading('points-drop', 0.08, { warmth: 'cold' }),
      reading('spark-every', 'good on all', { warmth: 'hot', soakMinutes: 20 }),
    ];
    expect(states(hot, cold)).toEqual({
      'try-it': 'to do',
      'points-drop': 'wrong conditions',
      'spark-every': 'passed',
    });
  });
});
