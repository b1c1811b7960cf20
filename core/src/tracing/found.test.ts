import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { JobEvent } from '../schema/job.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const traced = (events: readonly JobEvent[]) => tracer.trace(noFire, events, failing);
const foundIn = (events: readonly JobEvent[]) => traced(events).found.map((f) => f.fault.repairId);

describe('what is seen is a fact', () => {
  it('points found burnt are found, though the feed is what stops it', () => {
    const events = [reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01), reading('ballast-ohms', 'OL')];
    const damp = [...events, reading('look-points', 'burnt or dirty')];
    const { found, lines } = traced(damp);
    expect(lines[0]!.repair.id).toBe('ballast.replace');
    const points = found.find((f) => f.fault.repairId === 'points.dress')!;
    expect(points.explains).toBeLessThan(0.7);
    expect(found.find((f) => f.fault.repairId === 'ballast.replace')!.explains).toBeGreaterThan(0.85);
  });
  it('a coil of the wrong type is wrong whatever the complaint', () => {
    expect(foundIn([reading('look-coil', 'wrong type'), reading('spark-every', 'good on all')])).toContain(
      'coil.right-type',
    );
  });
  it('what was put right is found no more, and the trace goes on', () => {
    const events = [reading('look-points', 'burnt or dirty')];
    expect(foundIn(events)).toEqual(['points.dress']);
    const after = [...events, fix('points.dress')];
    expect(foundIn(after)).toEqual([]);
    expect(['check', 'sound']).toContain(traced(after).verdict.kind);
  });
  it('a reading that several parts could give finds none of them', () => {
    expect(foundIn([reading('spark-coil-lead', 'none')])).toEqual([]);
    expect(foundIn([reading('coil-feed-closed', 0)])).toEqual([]);
  });
  it('a sound reading finds nothing', () => {
    expect(
      foundIn([reading('points-drop', 0.08), reading('look-points', 'clean'), reading('battery-rest', 12.6)]),
    ).toEqual([]);
  });
});
