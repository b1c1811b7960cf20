import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { house, reading } from '../__tests__/machines.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import { INSTRUMENT_IDS } from '../schema/house.ts';
import { drawSound } from './draw.ts';
import { passes } from './ruler.ts';
import { Tracer } from './trace.ts';

const everything = { ...house, owns: [...INSTRUMENT_IDS] };
/** Of a band, what may be lost to rounding. */
const HAIR = 1e-6;

describe('every plate is carried through', () => {
  // Any figure at either end of its plate, alone, on a machine that is well: whatever reads it must pass.
  it.each(EVERY_KIND)('%s', (_name, body) => {
    const { model, weigher } = new Tracer(body, everything);
    const middle = drawSound(model, () => 0.5);
    const base = new Scene(model.machine, middle);
    const checks = [...model.checks, ...model.beyond].filter((c) => INSTRUMENTS[c.instrument].dimension);
    for (const check of checks) {
      const { low, high } = weigher.bands.of(check);
      const error = INSTRUMENTS[check.instrument].error(low) * 0.99;
      if (Number.isFinite(high)) expect(high - low, check.id).toBeGreaterThanOrEqual(error);
    }
    const footprints = new Map(
      checks.map((check) => {
        const { scene, footprint } = base.watched();
        INSTRUMENTS[check.instrument].observe(scene, check);
        return [check, footprint];
      }),
    );
    for (const { part, spec, low, high, id } of model.plates.values())
      for (const figure of low === high ? [] : [low, high]) {
        const at = new Scene(model.machine, { ...middle, [part.id]: { ...middle[part.id], [spec.id]: figure } }, base);
        for (const check of checks) {
          if (!at.touches(footprints.get(check)!)) continue;
          const seen = INSTRUMENTS[check.instrument].observe(at, check);
          if (seen.kind !== 'number') throw new Error(check.id);
          const limit = INSTRUMENTS[check.instrument].limit ?? Infinity;
          if (seen.value > limit) {
            expect(weigher.bands.of(check).openShare, `${check.id} with ${id}`).toBeGreaterThan(0);
            continue;
          }
          const { edge } = weigher.bands.of(check);
          const room = HAIR * Math.max(1, Math.abs(seen.value));
          expect(seen.value, `${check.id} with ${id} at ${figure}`).toBeGreaterThanOrEqual(edge.low - room);
          expect(seen.value, `${check.id} with ${id} at ${figure}`).toBeLessThanOrEqual(edge.high + room);
        }
      }
  });
});

describe('proofs that a good part can pass', () => {
  const tracerOf = (name: string) => new Tracer(EVERY_KIND.find(([n]) => n === name)![1], everything);
  const reads = (tracer: Tracer, check: string, value: number | 'OL') => {
    const event = reading(check, value);
    if (event.type !== 'reading') throw new Error(check);
    return passes(tracer.weigher, tracer.weigher.check(check)!, event.reading.value);
  };
  it.each([
    ['alternator with a lamp', 13.9, 14.45],
    ['generator, six volts, positive earth', 6.95, 7.22],
  ])('%s holds its volts anywhere on its regulator’s plate', (name, low, high) => {
    const tracer = new Tracer(CHARGED[name]!, everything);
    for (const volts of [low, high]) expect(reads(tracer, 'charge-fast', volts), `${volts}`).toBe(true);
    expect(reads(tracer, 'charge-fast', high + 0.08 * high)).toBe(false);
  });
  it('the earth of a pack that is fed by a battery is nearly nothing, and tens of ohms are not', () => {
    const tracer = tracerOf('spark: capacitor discharge from a battery, two cylinders');
    expect(reads(tracer, 'pack-earth-ohms', 0.05)).toBe(true);
    expect(reads(tracer, 'pack-earth-ohms', 40)).toBe(false);
  });
  it('insulation is OL or any megohms; kilo-ohms are not', () => {
    const tracer = tracerOf('spark: Hall sensor and module');
    for (const value of ['OL', 9.5e6, 25e6] as const) expect(reads(tracer, 'points-line-to-earth', value)).toBe(true);
    expect(reads(tracer, 'points-line-to-earth', 30e3)).toBe(false);
  });
  it('a coil over its plug has no primary that a meter reaches', () => {
    const { model } = tracerOf('spark: a coil on each plug, four cylinders');
    expect(model.checks.some((c) => c.id.endsWith('-primary'))).toBe(false);
  });
});
