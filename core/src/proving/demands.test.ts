import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { traceCauses } from '../tracing/causes.ts';
import { Tracer } from '../tracing/trace.ts';
import { demands } from './demands.ts';
import { proveOut } from './proveOut.ts';

const charged = new Tracer(CHARGED['three phases under a flywheel']!, house);
const spark = new Tracer(machine(), house);
const cause = (faultId: string, label: string, found: 'found' | 'ruled out' = 'found') =>
  ({
    type: 'cause',
    cause: { id: `c-${label}`, faultId, cause: label, found, note: '', at: '2026-01-01T00:00:00Z' },
  }) as const;

describe('what a repair asks to be proved, whatever failed before', () => {
  it('a stator: volts at idle and fast', () => {
    const stator = charged.model.faults.find((f) => f.part.kind.kind === 'stator, three phases')!;
    expect(demands(charged, [fix(stator.repairId)]).repair).toEqual(['charge-idle', 'charge-fast']);
  });
  it('a wire that was remade: that its feed is gone with the key off', () => {
    expect(demands(spark, [fix('coil-feed.remake')]).repair).toEqual(['supply-gone']);
    const proofs = proveOut(spark, noFire, [reading('coil-feed-closed', 0.2), fix('coil-feed.remake')]);
    expect(proofs.find((p) => p.check.id === 'supply-gone')).toMatchObject({
      why: 'its repair asks for it',
      state: 'to do',
    });
    const done = [reading('coil-feed-closed', 0.2), fix('coil-feed.remake'), reading('supply-gone', 0)];
    expect(proveOut(spark, noFire, done).find((p) => p.check.id === 'supply-gone')!.state).toBe('passed');
  });
  it('points that were dressed ask for nothing of the kind, and nothing is asked twice', () => {
    expect(demands(spark, [fix('points.dress')]).repair).toEqual([]);
    const ids = proveOut(spark, noFire, [fix('coil-feed.remake'), fix('coil-minus.remake')]).map((p) => p.check.id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('a cause that was found is proved gone', () => {
  const battery = charged.model.faults.find((f) => f.part.kind.kind === 'battery' && f.mode.id === 'tired')!;
  it('a battery boiled by its regulator: the check that tells the regulator', () => {
    const boiled = traceCauses(charged, battery.id, { ...noFire, symptom: 'flat-overnight' }, [])!.causes.find(
      (c) => c.spec.id === 'overcharge',
    )!;
    const asked = demands(charged, [fix(battery.repairId), cause(battery.id, boiled.spec.label)]).cause;
    expect(asked).toHaveLength(1);
    expect(asked[0]).toMatch(/^charge-/);
  });
  it('one that was ruled out, or that no part stands for, asks for nothing', () => {
    expect(demands(charged, [cause(battery.id, 'Boiled dry by overcharging', 'ruled out')]).cause).toEqual([]);
    expect(demands(charged, [cause(battery.id, 'Age and wear')]).cause).toEqual([]);
  });
});

describe('what a fault may have hurt in turn', () => {
  it('a regulator that is stuck high: the battery, on the same or another trail, each part once', () => {
    const high = charged.model.faults.find((f) => f.mode.id === 'high' && /regulator/.test(f.part.kind.kind))!;
    const { hurt } = traceCauses(charged, high.id, { ...noFire, symptom: 'overcharge' }, [])!;
    const parts = hurt.map((h) => h.fault.part.id);
    expect(parts).toContain('battery');
    expect(new Set(parts).size).toBe(parts.length);
  });
  it('a sound fuse hurts nothing', () => {
    expect(traceCauses(spark, 'fuse.blown', noFire, [])!.hurt).toEqual([]);
  });
});
