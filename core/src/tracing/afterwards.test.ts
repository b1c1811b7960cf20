import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { Complaint } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import { afterwards } from './afterwards.ts';
import { Tracer } from './trace.ts';

const traced = (body: MachineBody, complaint: Complaint, ...events: ReturnType<typeof reading>[]) => {
  const { verdict, afterwards } = new Tracer(body, house).trace(complaint, events, failing);
  return {
    called: verdict.kind === 'fix' ? verdict.repair.id : verdict.kind,
    then: afterwards.map((a) => `${a.repair.id}: ${a.why}`),
  };
};

describe('what is put right after what is called', () => {
  it('two complaints with a reason each: both, one after the other', () => {
    const { called, then } = traced(
      CHARGED['alternator with a lamp']!,
      { ...noFire, also: 'no-charge' },
      reading('charge-belt', 'slack'),
      reading('charge-belt', 'slack'),
      reading('charge-fast', 12.3),
      reading('spark-coil-lead', 'none'),
      reading('look-points', 'burnt or dirty'),
      reading('points-drop', 5),
      reading('points-drop', 5),
    );
    expect([called, ...then.map((t) => t.split(':')[0])].sort()).toEqual(['belt.tighten', 'points.dress']);
    expect(then[0]).toMatch(/brings it too$/);
  });
  it('first what lies behind it, then what brings the complaint too, then what is there besides', () => {
    const { model, weigher } = new Tracer(CHARGED['alternator with a lamp']!, house);
    const nothing = weigher.weighAll(noFire, []);
    const faults = ['battery.flat', 'plugs.wide', 'coil.primary-open', 'belt.slack'].map((id) => {
      const fault = model.faults.find((f) => f.id === id);
      if (!fault) throw new Error(`No fault ${id}`);
      return fault;
    });
    const account = {
      ...nothing.weighed[0]!,
      faults,
      remaining: faults,
      blame: [1, 0.1, 0.9, 0.1],
      mass: 0.95,
      elsewhere: undefined,
    };
    const belief = { ...nothing, weighed: [account] };
    expect(afterwards(model, belief, 'battery.charge').map((a) => `${a.repair.id}: ${a.why}`)).toEqual([
      'belt.tighten: lies behind it',
      'coil.replace: brings it too',
      'plugs.replace: there too',
    ]);
    // Unsure, none of them is named.
    const open = { ...nothing, weighed: [{ ...account, mass: 0.8 }] };
    expect(afterwards(model, open, 'battery.charge')).toEqual([]);
  });
  it('one thing wrong: nothing after it', () => {
    const { called, then } = traced(
      machine(),
      noFire,
      reading('ballast-volts', 12.4),
      reading('coil-feed-closed', 0.01),
      reading('ballast-ohms', 'OL'),
    );
    expect(called).toBe('ballast.replace');
    expect(then).toEqual([]);
  });
});
