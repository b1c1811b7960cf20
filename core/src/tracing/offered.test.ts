import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { jobEventSchema, type JobEvent } from '../schema/job.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
let serial = 0;
const aside = (checkId: string): JobEvent =>
  jobEventSchema.parse({ type: 'aside', aside: { id: `a${++serial}`, checkId, at: '2026-01-01T00:00:00Z' } });
const offered = (events: JobEvent[]) => tracer.trace(noFire, events, failing).ranked.map((r) => r.check.id);

describe('a check that told nothing', () => {
  it('is left, and the next one asked for; belief stays as it was', () => {
    const all = offered([]);
    const [first] = all;
    expect(offered([aside(first!)]).sort()).toEqual(all.filter((id) => id !== first).sort());
    const masses = (events: JobEvent[]) => tracer.belief(noFire, events).weighed.map((w) => w.mass);
    expect(masses([aside(first!)])).toEqual(masses([]));
  });
  it('comes back once something was put right, for it may be within reach now', () => {
    const [first] = offered([]);
    expect(offered([aside(first!), fix('points.replace')])).toContain(first);
  });
  it('counts as read when somebody reads it all the same, and a slip of it may be taken once more', () => {
    const away = aside('coil-feed-closed');
    const slip = reading('coil-feed-closed', 0.004);
    expect(offered([away])).not.toContain('coil-feed-closed');
    expect(offered([away, slip])).toEqual(offered([slip]));
  });
  it('does not keep the trace open: where nothing else tells, it decides', () => {
    // Each check in turn is out of reach: nothing is left to ask, and what is likeliest for its cost is tried.
    const events = tracer.model.checks.map((c) => aside(c.id));
    const { ranked, verdict } = tracer.trace(noFire, events, failing);
    expect(ranked).toEqual([]);
    expect(['fix', 'nothing left to check']).toContain(verdict.kind);
  });
});
