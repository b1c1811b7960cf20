import { describe, expect, it } from 'vitest';
import { house, noFire, reading } from '../__tests__/machines.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { fromRuler } from '../instruments/index.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(SQUEEZING['four cylinders, with spark, fuel, timing and air']!, house);
const complaint = { ...noFire, symptom: 'misses' } as const;
const bar = (...each: number[]) => each.map((b, k) => reading(`compression-${k + 1}`, b * 1e5));
/** Belief in what fails for one cylinder alone. */
const blames = (events: ReturnType<typeof bar>, cylinder: number): number => {
  const { weighed } = tracer.belief(complaint, events);
  const own = weighed.filter((w) => w.faults.some((f) => f.part.cylinder === cylinder && f.trail === 'compression'));
  return own.reduce((sum, w) => sum + w.mass, 0);
};

describe('cylinders are held against one another', () => {
  it('a book’s ratio leaves an eighth either way: no engine is worn because its gauge reads a bar off the book', () => {
    const band = tracer.weigher.bands.of(tracer.weigher.check('compression-1')!)!;
    expect((band.high - band.low) / (band.high + band.low)).toBeGreaterThan(0.1);
  });
  it('the one that is a third below its fellows is blamed, however high or low all of them stand', () => {
    for (const level of [8.6, 10.5, 12])
      expect(blames(bar(level, level * 0.62, level, level), 2), `${level} bar`).toBeGreaterThan(
        20 * blames(bar(level, level, level, level), 2),
      );
  });
  it('nothing that slows the starter explains one low cylinder: it would lower all of them', () => {
    const events = bar(8, 5.2, 8, 8);
    const { weighed } = tracer.belief(complaint, events);
    const flat = weighed.reduce((sum, w) => sum + (w.id === 'battery.flat' ? w.mass : 0), 0);
    expect(flat).toBeLessThan(0.01 * blames(events, 2));
  });
  it('what is read first does not matter to which is low', () => {
    const round = bar(10.5, 6.5, 10.4, 10.6);
    expect(blames([...round].reverse(), 2)).toBeCloseTo(blames(round, 2), 1);
  });
  it('a figure stays what it is on the ruler: nothing falls below nought', () => {
    expect(fromRuler(0, 'pressure')).toBeCloseTo(0, 6);
    expect(blames(bar(10.5, 0.4, 10.5, 10.5), 2)).toBeGreaterThan(0.5);
  });
});
