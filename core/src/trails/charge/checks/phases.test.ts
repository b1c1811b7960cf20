import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { readsLike } from '../../../__tests__/readsLike.ts';
import { failing, house, noFire, reading } from '../../../__tests__/machines.ts';
import { Tracer } from '../../../tracing/trace.ts';

const body = CHARGED['three phases under a flywheel']!;
const tracer = new Tracer(body, house);
const PAIRS = ['1-2', '2-3', '3-1'] as const;
const volts = (pair: string, fault?: string) => readsLike(body, `charge-leg-volts-fast-${pair}`, fault) as number;

describe('a phase of a stator fails alone, whichever it is', () => {
  it.each([
    ['charger.open', '2-3'],
    ['charger.open-2', '3-1'],
    ['charger.open-3', '1-2'],
  ] as const)('%s leaves only the pair %s', (fault, whole) => {
    for (const pair of PAIRS) {
      if (pair === whole) expect(volts(pair, fault)).toBeCloseTo(volts(pair), 6);
      else expect(volts(pair, fault)).toBeLessThan(1);
      const ohms = readsLike(body, `charge-leg-ohms-${pair}`, fault) as number;
      expect(ohms > 2e6).toBe(pair !== whole);
    }
  });
  it.each([
    [1, '2-3'],
    [2, '3-1'],
    [3, '1-2'],
  ] as const)('phase %i open, with the few volts that an open end picks up: the stator leads', (_phase, whole) => {
    const events = [
      ...PAIRS.map((p) => reading(`charge-leg-volts-fast-${p}`, p === whole ? volts(p) : 4)),
      ...PAIRS.filter((p) => p !== whole).map((p) => reading(`charge-leg-ohms-${p}`, 'OL')),
    ];
    const { lines } = tracer.trace({ ...noFire, symptom: 'no-charge' }, events, failing);
    expect(lines[0]!.repair.id).toBe('charger.replace');
    expect(lines[0]!.share).toBeGreaterThan(0.9);
  });
  it('a diode that leaks a little drains the battery, and charges it all the same', () => {
    const car = CHARGED['alternator with a lamp']!;
    expect(readsLike(car, 'charge-fast', 'charger.diode-leaks')).toBeCloseTo(
      readsLike(car, 'charge-fast') as number,
      1,
    );
    expect(readsLike(car, 'charge-drain', 'charger.diode-leaks')).toBeGreaterThan(0.1);
    expect(readsLike(car, 'charge-drain-unplugged', 'charger.diode-leaks')).toBeLessThan(0.06);
    const traced = new Tracer(car, house).trace(
      { ...noFire, symptom: 'flat-overnight' },
      [reading('charge-fast', 14.2), reading('charge-drain', 0.4), reading('charge-drain-unplugged', 0.003)],
      failing,
    );
    expect(traced.lines[0]!.repair.id).toBe('charger.replace');
  });
  it('a generator whose cut-out stays open holds its own terminal at what the regulator allows', () => {
    const old = CHARGED['generator, six volts, positive earth']!;
    expect(readsLike(old, 'charge-source', 'cut-out.open')).toBeGreaterThan(6.8);
    expect(readsLike(old, 'charge-source', 'charger.no-residual')).toBeLessThan(1);
    expect(readsLike(old, 'charge-fast', 'cut-out.open')).toBeLessThan(6.6);
  });
});
