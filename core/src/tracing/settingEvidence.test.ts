import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { JobEvent } from '../schema/job.ts';
import { proveOut } from '../proving/proveOut.ts';
import { TIMED } from '../__tests__/timedMachines.ts';
import { evidenceOf } from './settingEvidence.ts';
import { tell } from './events.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const set = (figure: string, foundAt: number | null, leftAt: number): JobEvent => ({
  type: 'setting',
  setting: { id: `s-${figure}-${foundAt}-${leftAt}`, figure, foundAt, leftAt, at: '2026-01-01T00:00:00Z' },
});
const share = (events: readonly JobEvent[], faultId: string) =>
  tracer.trace(noFire, events, failing).suspects.find((s) => s.fault.id === faultId)?.share ?? 0;

describe('a setting is evidence', () => {
  it('points found closed up accuse the points as the same reading does', () => {
    const read = share([reading('points-gap', 0.01e-3)], 'points.closed-up');
    // Left where it was: nothing has been put right yet.
    expect(share([set('points.gapMetres', 0.01e-3, 0.01e-3)], 'points.closed-up')).toBeCloseTo(read, 6);
    expect(read).toBeGreaterThan(10 * share([], 'points.closed-up'));
  });
  it('left inside its plate, what was outside has been put right: the trace asks the engine anew', () => {
    const events = [set('points.gapMetres', 0.01e-3, 0.38e-3)];
    expect(tell(evidenceOf(tracer.model, events)).fixes.map((f) => f.repairId)).toEqual(['points.set']);
    expect(tracer.trace(noFire, events, failing).ranked[0]!.check.id).toBe('try-it');
  });
  it('a distributor found late and set is its timing set', () => {
    const timed = new Tracer(TIMED['weights']!, house);
    const events = [set('timing-body.baseDegrees', -9, 8)];
    const { readings, fixes } = tell(evidenceOf(timed.model, events));
    expect(readings.map((r) => [r.reading.checkId, r.reading.value])).toEqual([
      ['timing-idle', { kind: 'number', value: -9 }],
    ]);
    expect(fixes.map((f) => f.repairId)).toEqual(['timing-body.set']);
  });
  it('found in its band and left in its band says that it is sound, and mends nothing', () => {
    const events = [set('points.gapMetres', 0.4e-3, 0.38e-3)];
    expect(tell(evidenceOf(tracer.model, events)).fixes).toEqual([]);
    expect(share(events, 'points.closed-up')).toBeLessThan(share([], 'points.closed-up'));
  });
  it('nothing found, a figure without a check, and a figure that is gone change nothing', () => {
    for (const event of [set('points.gapMetres', null, 0.38e-3), set('no-such.figure', 1, 2)])
      expect(evidenceOf(tracer.model, [event])).toEqual([event]);
    expect(share([set('points.dwellDegrees', 38, 38)], 'points.burnt')).toBeCloseTo(share([], 'points.burnt'), 9);
  });
  it('proofs taken before it was set no longer count', () => {
    const before = [reading('points-drop', 6), fix('points.dress'), reading('points-drop', 0.08)];
    const state = (events: readonly JobEvent[]) =>
      proveOut(tracer, noFire, events).find((p) => p.check.id === 'points-drop')!.state;
    expect(state(before)).toBe('passed');
    expect(state([...before, set('points.gapMetres', 0.8e-3, 0.38e-3)])).toBe('to do');
  });
});
