import { describe, expect, it } from 'vitest';
import { house, machine, noFire } from '../__tests__/machines.ts';
import { INSTRUMENTS, toRuler } from '../instruments/index.ts';
import { rulerWidth } from '../tracing/likelihood.ts';
import { Tracer } from '../tracing/trace.ts';
import { holesOf } from './holes.ts';

const tracer = new Tracer(machine(), house);
/** The same machine to a judge that explains nothing, or nothing but what it is told. */
const judged = (outside: number) =>
  ({
    model: tracer.model,
    weigher: tracer.weigher,
    belief: () => ({ outside }),
  }) as unknown as Tracer;
const PLACES = 9;
const all = holesOf(judged(0.51), noFire, PLACES);
const dimensionOf = (checkId: string) => INSTRUMENTS[tracer.weigher.check(checkId)!.instrument].dimension!;
const of = (dimension: string) => all.holes.filter((h) => dimensionOf(h.checkId) === dimension).map((h) => h.value);

describe('a sweep for readings that nothing explains', () => {
  it('finds each that is more than half outside, and none that is half', () => {
    expect(all.swept).toBeGreaterThan(100);
    expect(all.holes).toHaveLength(all.swept);
    expect(holesOf(judged(0.5), noFire, PLACES)).toEqual({ swept: all.swept, holes: [] });
  });
  it('asks only what a meter can show on this machine: no ohms below nothing nor beyond its range, no volts above the supply', () => {
    expect(Math.min(...of('resistance'))).toBeGreaterThanOrEqual(0);
    expect(Math.max(...of('resistance'))).toBeLessThanOrEqual(4e7);
    expect(Math.max(...of('resistance'))).toBeGreaterThan(1e6);
    expect(Math.min(...of('voltage'))).toBeGreaterThanOrEqual(-0.5);
    expect(Math.max(...of('voltage'))).toBeLessThanOrEqual(1.3 * 12);
    expect(Math.max(...of('voltage'))).toBeGreaterThan(12);
    for (const gap of of('length')) expect(gap).toBeGreaterThanOrEqual(0);
  });
  it('goes half a ruler to either side of the band’s middle, in even steps', () => {
    const check = tracer.weigher.check('coil-minus-open')!;
    const { low, high } = tracer.weigher.bands.of(check);
    const swept = all.holes.filter((h) => h.checkId === check.id).map((h) => toRuler(h.value, 'voltage'));
    const step = rulerWidth('voltage') / (PLACES - 1);
    for (const [k, at] of swept.entries()) if (k > 0) expect(at - swept[k - 1]!).toBeCloseTo(step, 9);
    const middle = toRuler((low + high) / 2, 'voltage');
    expect(swept.some((at) => Math.abs(at - middle) < 1e-9)).toBe(true);
    // Above the supply nothing is asked; below, the sweep ends where a meter would read less than nothing.
    expect(Math.min(...swept)).toBeLessThan(middle - 2 * step);
  });
  it('leaves out what no part that is complained of can move', () => {
    const quiet = holesOf(judged(1), { ...noFire, symptom: 'flat-overnight' }, PLACES);
    expect(quiet.swept).toBeLessThan(all.swept);
  });
});
