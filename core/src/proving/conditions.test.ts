import { describe, expect, it } from 'vitest';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { Complaint, JobEvent, Reading } from '../schema/job.ts';
import { Tracer } from '../tracing/trace.ts';
import { confirmations, triesIn } from './conditions.ts';
import { proveOut, proven } from './proveOut.ts';

const tracer = new Tracer(machine(), house);
const about = (change: Partial<Complaint>): Complaint => ({ ...noFire, ...change });
const failed = [reading('points-drop', 6), fix('points.dress')];
const tried = (more: Partial<Reading>) => reading('try-it', 'runs even', { faultPresent: 'no', ...more });
/** So many minutes of running, ended then or not yet. */
const heat = (ranMinutes: number, stoppedAt: string | null, at = '2026-03-01T08:00:00Z'): JobEvent => ({
  type: 'sheet',
  sheet: { id: `heat-${at}-${stoppedAt}`, body: { kind: 'heat', ranMinutes, stoppedAt }, at },
});
const trial = (complaint: Complaint, ...events: JobEvent[]) =>
  proveOut(tracer, complaint, [...failed, ...events]).find((p) => p.check.id === 'try-it')!;

describe('in which condition the engine must be tried', () => {
  it.each([
    [
      { symptom: 'dies', pattern: 'hot' },
      { warmth: 'hot', under: null, restHours: 0 },
    ],
    [
      { symptom: 'no-fire', pattern: 'damp' },
      { warmth: null, under: 'wet', restHours: 0 },
    ],
    [
      { symptom: 'hard-start', pattern: 'constant' },
      { warmth: 'cold', under: null, restHours: 6 },
    ],
    [
      { symptom: 'hard-start', pattern: 'hot' },
      { warmth: 'hot', under: null, restHours: 0 },
    ],
    [
      { symptom: 'no-pull', pattern: 'constant' },
      { warmth: null, under: 'load', restHours: 0 },
    ],
    [
      { symptom: 'stalls', pattern: 'constant' },
      { warmth: null, under: 'ten minutes', restHours: 0 },
    ],
    [
      { symptom: 'no-fire', pattern: 'now-and-then' },
      { warmth: null, under: 'ten minutes', restHours: 0 },
    ],
    [
      { symptom: 'no-fire', pattern: 'constant' },
      { warmth: null, under: null, restHours: 0 },
    ],
  ] as const)('%j', (complaint, wanted) => {
    expect(triesIn(about(complaint))).toEqual([wanted]);
  });
  it('a second symptom asks for a trial of its own; the same trial is asked once', () => {
    const both = triesIn(about({ symptom: 'dies', pattern: 'hot', also: 'hard-start' }));
    expect(both.map((t) => t.warmth)).toEqual(['hot', 'cold']);
    expect(triesIn(about({ symptom: 'idle-wrong', also: 'no-pull' })).map((t) => t.under)).toEqual(['load']);
    expect(triesIn(about({ symptom: 'misses', also: 'no-pull' }))).toHaveLength(1);
  });
});

describe('a proof counts in its condition', () => {
  const damp = about({ symptom: 'misses', pattern: 'damp' });
  it('dry it is in the wrong conditions, wetted it passes', () => {
    expect(trial(damp, tried({})).state).toBe('wrong conditions');
    expect(trial(damp, tried({ under: 'wet' })).state).toBe('passed');
  });
  const hard = about({ symptom: 'hard-start' });
  const cold = (at: string) => tried({ warmth: 'cold', at });
  it('a cold start counts only after hours of standing', () => {
    const ran = tried({ warmth: 'hot', at: '2026-03-01T16:00:00Z' });
    expect(trial(hard, ran).state).toBe('wrong conditions');
    expect(trial(hard, ran, cold('2026-03-01T18:00:00Z')).state).toBe('wrong conditions');
    expect(trial(hard, ran, cold('2026-03-02T07:30:00Z')).state).toBe('passed');
    // Six hours after it last ran.
    expect(trial(hard, ran).soonest).toBe('2026-03-01T22:00:00.000Z');
  });
  it('hot today and cold tomorrow are two proofs, and either stands by the reading that suits it', () => {
    const complaint = about({ symptom: 'dies', pattern: 'hot', also: 'hard-start' });
    const soaked = tried({ warmth: 'hot', soakMinutes: 20, at: '2026-03-01T16:00:00Z' });
    const states = (...events: JobEvent[]) =>
      proveOut(tracer, complaint, [...failed, ...events])
        .filter((p) => p.check.id === 'try-it')
        .map((p) => p.state);
    expect(states()).toEqual(['to do', 'to do']);
    expect(states(soaked)).toEqual(['passed', 'wrong conditions']);
    expect(states(soaked, cold('2026-03-02T08:00:00Z'))).toEqual(['passed', 'passed']);
  });
  it('of what nobody knows when it ran, a cold start is no proof until that is told', () => {
    expect(trial(hard).soonest).toBeUndefined();
    const start = cold('2026-03-01T18:00:00Z');
    expect(trial(hard, start).state).toBe('wrong conditions');
    expect(trial(hard, heat(20, '2026-03-01T15:00:00Z'), start).state).toBe('wrong conditions');
    expect(trial(hard, heat(20, '2026-02-28T18:00:00Z'), start).state).toBe('passed');
    // Still running as it was told: it stands since then at the earliest.
    const running = heat(5, null, '2026-03-01T10:00:00Z');
    expect(trial(hard, running).soonest).toBe('2026-03-01T16:00:00.000Z');
    expect(trial(hard, running, start).state).toBe('passed');
  });
  it('hot is what ran or soaked for ten minutes and has not stood since; the word alone heats nothing', () => {
    const dies = about({ symptom: 'dies', pattern: 'hot' });
    const hot = (minutes?: number) =>
      tried({ warmth: 'hot', at: '2026-03-01T12:00:00Z', ...(minutes === undefined ? {} : { soakMinutes: minutes }) });
    expect(trial(dies, hot()).state).toBe('wrong conditions');
    expect(trial(dies, hot(0)).state).toBe('wrong conditions');
    expect(trial(dies, hot(9)).state).toBe('wrong conditions');
    expect(trial(dies, hot(12)).state).toBe('passed');
    expect(trial(dies, heat(30, '2026-03-01T11:50:00Z'), hot()).state).toBe('passed');
    expect(trial(dies, heat(5, '2026-03-01T11:50:00Z'), hot()).state).toBe('wrong conditions');
    expect(trial(dies, heat(30, '2026-03-01T10:00:00Z'), hot()).state).toBe('wrong conditions');
    expect(trial(dies, heat(30, null, '2026-03-01T11:55:00Z'), hot()).state).toBe('passed');
  });
});

describe('what somebody must see to', () => {
  const sheet = (...confirmed: ('water' | 'bypass')[]): JobEvent => ({
    type: 'sheet',
    sheet: { id: `p-${confirmed.join()}`, at: '2026-01-01T00:00:00Z', body: { kind: 'prove', confirmed } },
  });
  const boat = new Tracer(machine({ marine: true }), house);
  it('water on a boat, and what was bypassed for a test, each until it is ticked', () => {
    expect(confirmations(tracer.model, failed)).toEqual([]);
    expect(confirmations(boat.model, failed)).toEqual([{ id: 'water', done: false }]);
    const clipped = tracer.model.checks.find((c) => c.state.clipped?.length)!;
    const events = [...failed, reading(clipped.id, 'good')];
    expect(confirmations(tracer.model, events)).toEqual([{ id: 'bypass', done: false }]);
    expect(confirmations(tracer.model, [...events, sheet('bypass')])).toEqual([{ id: 'bypass', done: true }]);
    // The last sheet stands: a tick taken back is taken back.
    expect(confirmations(tracer.model, [...events, sheet('bypass'), sheet()])[0]!.done).toBe(false);
  });
  it('nothing is proven before it was seen to', () => {
    const events = [...failed, reading('points-drop', 0.08), reading('spark-every', 'good on all'), tried({})];
    const proofs = proveOut(boat, noFire, events);
    expect(proven(proofs, confirmations(boat.model, events))).toBe(false);
    expect(proven(proofs, confirmations(boat.model, [...events, sheet('water')]))).toBe(true);
  });
});
