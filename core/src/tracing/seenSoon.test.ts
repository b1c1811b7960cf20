import { describe, expect, it } from 'vitest';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { Complaint } from '../schema/job.ts';
import { seenBroken } from './seenBroken.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(CHARGED['alternator with a lamp']!, house);
const noCharge: Complaint = { ...noFire, symptom: 'no-charge' };
const verdictAfter = (...events: Parameters<Tracer['trace']>[1]) => tracer.trace(noCharge, events, failing).verdict;

const spark = new Tracer(machine(), house);
const drop = spark.belief(noFire, [reading('points-drop', 11.9)]);

describe('what is seen and soon done', () => {
  it('is done at once: a belt found slack is tightened before more is measured', () => {
    const verdict = verdictAfter(reading('charge-fast', 12.4), reading('charge-belt', 'slack'));
    expect(verdict).toMatchObject({ kind: 'fix', repair: { id: 'belt.tighten' }, why: 'seen' });
    // What takes an hour or money waits until it is surer than this.
    expect(verdict.kind === 'fix' && verdict.share).toBeLessThan(0.85);
  });
  it('so is what a meter shows at the part itself: a strap that drops a volt is cleaned', () => {
    const slow: Complaint = { ...noFire, symptom: 'crank-slow' };
    const cranked = new Tracer(CRANKED['relay and an interlock, with breaker points']!, house);
    const events = [
      reading('battery-rest', 12.6),
      reading('plugs-out-by-hand', 'turns freely, dry'),
      reading('clamp-drop', 0.05),
      reading('crank-cable-drop', 0.18),
      reading('strap-drop', 2),
    ];
    expect(cranked.trace(slow, events, failing).verdict).toMatchObject({ kind: 'fix', repair: { id: 'strap.clean' } });
  });
  it('but not while another repair stands out, and a look that costs less than being wrong would tell', () => {
    const { weigher, model } = spark;
    const of = (id: string, share: number) => ({ repair: model.repairs.get(id)!, share, cost: 8 });
    const fault = model.faults.find((f) => f.id === 'points.parted')!;
    const found = () => [{ fault, readingId: drop.story.readings[0]!.reading.id, explains: 0.9 }];
    const verdict = (rival: number, nextCosts: number) =>
      seenBroken(weigher, drop, [of('points.set', 0.9), of('points.dress', rival)], 200, found, nextCosts);
    expect(verdict(0.09, 0.5)).toBeUndefined();
    expect(verdict(0.09, 1)).toMatchObject({ kind: 'fix', repair: { id: 'points.set' } });
    expect(verdict(0.02, 0.5)).toMatchObject({ kind: 'fix', why: 'seen' });
    // Less likely than that it is not put right for what a meter showed.
    expect(seenBroken(weigher, drop, [of('points.set', 0.8)], 200, found, 9)).toBeUndefined();
  });
  it('a plug seen cracked is renewed at once, whatever else may miss', () => {
    const misses: Complaint = { ...noFire, symptom: 'misses' };
    const { verdict } = spark.trace(misses, [reading('look-plugs', 'only 2 is cracked')], failing);
    expect(verdict).toMatchObject({ kind: 'fix', repair: { id: 'plug-2.replace' } });
  });
  it('a wire that only looks bad is not mended on a remark', () => {
    expect(verdictAfter(reading('seen-charge-wire', 'looks bad')).kind).toBe('check');
  });
});
