import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { house, machine, noFire } from '../__tests__/machines.ts';
import { complaintSchema } from '../schema/job.ts';
import { SYMPTOMS, TRAIL_NAMES, type SymptomId } from '../schema/symptoms.ts';
import type { MachineBody } from '../schema/machine.ts';
import { trailBelief } from '../tracing/trailBelief.ts';
import { Tracer } from '../tracing/trace.ts';
import { complaintElsewhere, complaintKey, everyComplaint } from './complaint.ts';
import { symptom } from './symptoms/index.ts';
import { trailShares } from './trailShares.ts';

const says = (body: MachineBody, id: SymptomId, faultId?: string): number => {
  const tracer = new Tracer(body, house);
  const faults = faultId ? [tracer.model.faults.find((f) => f.id === faultId)!] : [];
  return tracer.weigher.complaintShare(faults, { ...noFire, symptom: id });
};
const alternator = CHARGED['alternator with a lamp']!;
const relay = CRANKED['relay and an interlock, with breaker points']!;

describe('what is complained of', () => {
  it.each(SYMPTOMS)('%s is there, is a chance on every trail, and hardly ever shows on a sound machine', (id) => {
    const { elsewhere } = symptom(id);
    for (const trail of TRAIL_NAMES) {
      const p = complaintElsewhere({ ...noFire, symptom: id }, trail);
      expect(p).toBeGreaterThan(0);
      expect(p).toBeLessThanOrEqual(1);
      if (elsewhere[trail] !== undefined) expect(p).toBe(elsewhere[trail]);
    }
    expect(says(alternator, id)).toBeLessThan(0.12);
  });
  it.each([
    ['crank-nothing', relay, 'interlock-1.open'],
    ['crank-click', relay, 'starter-solenoid.burnt'],
    ['crank-slow', relay, 'starter-motor.shorted'],
    ['crank-free', relay, 'starter-drive.slips'],
    ['crank-stays', relay, 'starter-solenoid.welded'],
    ['crank-stays', relay, 'start-relay.welded'],
    ['crank-stays', relay, 'start-switch.stuck'],
    ['crank-click', relay, 'starter-drive.jammed'],
    ['crank-grinds', CRANKED['an intake heater on a shared feed']!, 'shared-feed.corroded'],
    ['no-charge', alternator, 'belt.slack'],
    ['overcharge', alternator, 'charge-regulator.high'],
    ['lamp-wrong', alternator, 'charge-lamp.blown'],
    ['flat-overnight', alternator, 'standing.drain'],
    // Half of the degrees in which a fault is met are too slight to bring anybody in.
  ] as const)('%s is brought in by one of its faults', (id, body, faultId) => {
    expect(says(body, id, faultId)).toBeGreaterThan(0.2);
    expect(says(body, id, faultId)).toBeGreaterThan(5 * says(body, id));
  });
  it('each is among those that are simulated ahead, whether it lasts or comes for moments', () => {
    const ahead = new Set(everyComplaint().map(complaintKey));
    const patterns = complaintSchema.shape.pattern.options;
    for (const id of SYMPTOMS)
      for (const pattern of patterns) expect(ahead).toContain(complaintKey({ ...noFire, symptom: id, pattern }));
  });
  it('two symptoms are one complaint, and the same one twice is one symptom', () => {
    expect(complaintKey({ ...noFire, also: 'crank-slow' })).toBe('no-fire+crank-slow');
    expect(complaintKey({ ...noFire, also: 'no-fire' })).toBe('no-fire');
  });
});

describe('which trail, before any reading', () => {
  const shares = (own = house) => {
    const tracer = new Tracer(machine({ cylinders: 4, ballast: 'none' }), own);
    const found = trailBelief(tracer.belief(noFire, []));
    return (trail: string) => found.find((t) => t.trail === trail)?.share ?? 0;
  };
  it('"cranks, will not fire": about half spark, a third fuel, the rest elsewhere', () => {
    const share = shares();
    expect(share('spark')).toBeGreaterThan(0.42);
    expect(share('spark')).toBeLessThan(0.62);
    expect(share('fuel')).toBeGreaterThan(0.25);
    expect(share('fuel')).toBeLessThan(0.42);
    for (const trail of ['air', 'timing', 'compression', 'crank']) expect(share(trail), trail).toBeGreaterThan(0.001);
  });
  it('a shop that sees more of fuel says so, and it counts', () => {
    expect(shares({ ...house, trails: { fuel: 90 } })('fuel')).toBeGreaterThan(1.5 * shares()('fuel'));
    const all = trailShares({ trails: { fuel: 90 } });
    expect(Object.values(all).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
  });
});
