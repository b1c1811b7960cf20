import { describe, expect, it } from 'vitest';
import type { Complaint } from '../schema/job.ts';
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
