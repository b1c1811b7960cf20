import { describe, expect, it } from 'vitest';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { JobEvent } from '../schema/job.ts';
import { faultShares } from './suspects.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine({ cylinders: 4, ballast: 'none' }), house);
const odds = (faultId: string, events: JobEvent[], complaint = noFire): number => {
  const shares = faultShares(tracer.belief(complaint, events));
  const share = [...shares].find(([f]) => f.id === faultId)?.[1] ?? 0;
  return share / (1 - share);
};
const times = (n: number, checkId: string, value: number | string, more = {}) =>
  Array.from({ length: n }, () => reading(checkId, value, more));

describe('the same reading again', () => {
  it('a look that is repeated counts hardly more than once', () => {
    const once = odds('cap.tracked', times(1, 'look-cap', 'tracked'));
    const thrice = odds('cap.tracked', times(3, 'look-cap', 'tracked'));
    expect(once).toBeGreaterThan(5 * odds('cap.tracked', []));
    // It only says that the first was no slip: by as much as slips are rare, once; three looks of their own would cube it.
    expect(thrice).toBeLessThan(once * 40);
    const own = once / odds('cap.tracked', []);
    expect(thrice).toBeLessThan((odds('cap.tracked', []) * own ** 3) / 10);
  });
  it('a meter that is put back tells that its leads had not slipped, and no more', () => {
    const [one, two, three] = [1, 2, 3].map((n) => odds('points.burnt', times(n, 'points-drop', 5))) as [
      number,
      number,
      number,
    ];
    expect(two).toBeGreaterThan(0.95 * one);
    expect(three).toBeLessThan(1.3 * two);
  });
  it('readings that disagree are both doubted, whichever came first', () => {
    const [well, ill] = [reading('points-drop', 0.08), reading('points-drop', 5)];
    const forward = odds('points.burnt', [well, ill]);
    expect(odds('points.burnt', [ill, well])).toBeCloseTo(forward, 4);
    expect(forward).toBeLessThan(odds('points.burnt', [ill]));
    expect(forward).toBeGreaterThan(odds('points.burnt', [well]));
    const strays = tracer.trace(noFire, [well, ill], { warmth: 'unknown', faultPresent: 'yes' }).atOdds;
    expect(strays.length).toBeGreaterThan(0);
  });
  it('after a repair it is a reading of its own again', () => {
    const before = times(1, 'spark-coil-lead', 'none');
    const after = [...before, fix('coil.replace'), reading('spark-coil-lead', 'none')];
    const only = [fix('coil.replace'), reading('spark-coil-lead', 'none')];
    expect(odds('coil.primary-open', after)).toBeLessThan(0.2);
    expect(odds('points.burnt', after)).toBeGreaterThan(odds('points.burnt', only) * 0.9);
  });
  it('where a fault comes and goes, a repeat may find it: each counts', () => {
    const complaint = { ...noFire, pattern: 'now-and-then' as const };
    const unknown = { faultPresent: 'unknown' as const };
    const passes = (n: number) => odds('coil.primary-open', times(n, 'coil-primary', 3.2, unknown), complaint);
    expect(passes(3)).toBeLessThan(passes(2) * 0.9);
    expect(passes(2)).toBeLessThan(passes(1) * 0.9);
  });
  it('never takes what nobody knows for the likelier, because a reading repeats', () => {
    const outside = (n: number) => tracer.belief(noFire, times(n, 'points-drop', 5)).outside;
    expect(outside(3)).toBeLessThan(2 * outside(1));
  });
});
