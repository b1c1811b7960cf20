import { describe, expect, it } from 'vitest';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import type { JobEvent, ReadingValue } from '../schema/job.ts';
import type { Check } from '../trails/checks.ts';
import { tell } from './events.ts';
import { likelihood, misses } from './likelihood.ts';
import type { Predicted } from './prediction.ts';
import { Repeated, SEES_AGAIN } from './repeated.ts';
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

/** The same thing asked twice of what does not change, by the words of the model: word for word, or within the meter's error. */
function seenAgain(check: Check, first: ReadingValue, next: ReadingValue, afresh: number): number {
  if (first.kind === 'word' && next.kind === 'word')
    return SEES_AGAIN * Number(first.word === next.word) + (1 - SEES_AGAIN) * afresh;
  if (first.kind !== 'number' || next.kind !== 'number') return first.kind === next.kind ? 0.97 : 0.03;
  const { dimension = 'ratio', error } = INSTRUMENTS[check.instrument];
  const at = (v: number) => toRuler(v, dimension);
  const own = (v: number) => (at(v + error(v)) - at(v - error(v))) / 2;
  const width = Math.hypot(own(first.value), own(next.value), 0.02);
  return Math.exp(-(((at(next.value) - at(first.value)) / width) ** 2) / 2) / (width * Math.sqrt(2 * Math.PI));
}
/** p(all of them | member): every way in which some of them missed their mark, one by one. */
function plainly(check: Check, predicted: Predicted, values: readonly ReadingValue[], member: number): number {
  const hits = 1 - misses(check);
  let sum = 0;
  for (let ways = 0; ways < 2 ** values.length; ways++) {
    let p = 1;
    let first: ReadingValue | undefined;
    values.forEach((value, i) => {
      const { total, straying } = likelihood(check, predicted, value, member);
      if (Math.floor(ways / 2 ** i) % 2 === 0) p *= straying;
      else if (first === undefined) [p, first] = [p * (total - straying), value];
      else p *= hits * seenAgain(check, first, value, (total - straying) / hits);
    });
    sum += p;
  }
  return sum;
}

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
  it('is summed over which of them hit its mark: as the plain sum over all ways of missing has it', () => {
    const { weigher } = tracer;
    for (const [id, values] of [
      ['points-drop', [0.1, 4.8, 4.9, 0.12]],
      ['coil-primary', ['OL', 3.2, 'OL']],
      ['look-points', ['clean', 'burnt or dirty', 'clean', 'clean']],
    ] as const) {
      const check = weigher.check(id)!;
      const read = tell(values.map((v) => reading(id, v))).readings.map((r) => r.reading.value);
      const predicted = weigher.ensemble([]).predict(check);
      const said = new Repeated(check, read.slice(0, -1), read.at(-1)!).of(predicted);
      for (const m of [0, 3, 7])
        expect(said[m], `${id} ${m}`).toBeCloseTo(
          plainly(check, predicted, read, m) / plainly(check, predicted, read.slice(0, -1), m),
          9,
        );
    }
  });
  it('beyond a dozen of one check says nothing more, and costs nothing more', () => {
    const { weighed, readings } = tell(times(40, 'battery-rest', 12.4));
    expect(readings).toHaveLength(40);
    expect(weighed).toHaveLength(12);
    expect(weighed.at(-1)).toBe(readings.at(-1));
    expect(Math.max(...readings.map((r) => r.earlier.length))).toBeLessThan(5);
    // Something put right between: both are weighed.
    expect(
      tell([...times(20, 'battery-rest', 12.4), fix('points.dress'), ...times(20, 'battery-rest', 12.4)]).weighed,
    ).toHaveLength(24);
  });
  it('never takes what nobody knows for the likelier, because a reading repeats', () => {
    const outside = (n: number) => tracer.belief(noFire, times(n, 'points-drop', 5)).outside;
    expect(outside(3)).toBeLessThan(2 * outside(1));
  });
});
