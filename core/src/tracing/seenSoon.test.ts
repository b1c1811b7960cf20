import { describe, expect, it } from 'vitest';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { failing, house, noFire, reading } from '../__tests__/machines.ts';
import type { Complaint } from '../schema/job.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(CHARGED['alternator with a lamp']!, house);
const noCharge: Complaint = { ...noFire, symptom: 'no-charge' };
const verdictAfter = (...events: Parameters<Tracer['trace']>[1]) => tracer.trace(noCharge, events, failing).verdict;

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
      reading('strap-drop', 1.1),
    ];
    expect(cranked.trace(slow, events, failing).verdict).toMatchObject({ kind: 'fix', repair: { id: 'strap.clean' } });
  });
  it('a wire that only looks bad is not mended on a remark', () => {
    expect(verdictAfter(reading('seen-charge-wire', 'looks bad')).kind).toBe('check');
  });
});
