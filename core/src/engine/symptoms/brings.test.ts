import { describe, expect, it } from 'vitest';
import { SQUEEZING } from '../../__tests__/squeezingMachines.ts';
import { CRANKED } from '../../__tests__/crankMachines.ts';
import { house, machine, noFire } from '../../__tests__/machines.ts';
import type { SymptomId } from '../../schema/symptoms.ts';
import { Tracer } from '../../tracing/trace.ts';

const engine = new Tracer(SQUEEZING['four cylinders, with spark, fuel, timing and air']!, house);
const started = new Tracer(CRANKED['relay and an interlock, with breaker points']!, house);
const four = new Tracer(machine({ cylinders: 4, ballast: 'none' }), house);
const share = (tracer: Tracer, faultId: string, symptom: SymptomId): number => {
  const fault = tracer.model.faults.find((f) => f.id === faultId);
  if (!fault) throw new Error(`No fault "${faultId}"`);
  return tracer.weigher.complaintShare([fault], { ...noFire, symptom });
};

/** From the trade: what owners of such a machine come in with, its slight degrees counted in. */
describe('what a fault is complained of', () => {
  it.each([
    // A spark that still jumps at idle and no longer under load.
    ['coil.secondary-open', 'misses'],
    ['coil.primary-shorted', 'misses'],
    ['plugs.wide', 'misses'],
    ['cap.brush', 'misses'],
    ['rotor.worn', 'misses'],
    // What is common to several cylinders and fails for two of them.
    ['cap.towers', 'misses'],
    ['lead-1.open', 'no-pull'],
    // A shaft that rocks.
    ['distributor-shaft.worn', 'misses'],
  ] as const)('%s: it %s', (fault, symptom) => {
    expect(share(engine, fault, symptom)).toBeGreaterThan(0.17);
  });
  it('fuel that runs back overnight makes it hard to start, and no worse than that', () => {
    expect(share(engine, 'fuel-line.air', 'hard-start')).toBeGreaterThan(0.2);
    const back = engine.model.faults.some((f) => f.id === 'fuel-pump.drains');
    if (back) expect(share(engine, 'fuel-pump.drains', 'hard-start')).toBeGreaterThan(0.2);
    expect(share(engine, 'fuel-line.air', 'misses')).toBeLessThan(0.2);
  });
  it('what does not turn at all is not called hard to start: it is called what it does', () => {
    for (const fault of ['start-switch.dead', 'starter-motor.open', 'engine.locked'])
      expect(share(started, fault, 'hard-start'), fault).toBeLessThan(0.2);
  });
  it('a spark that fails only as it is opened up has not died', () => {
    expect(share(four, 'rotor.worn', 'dies')).toBeLessThan(0.15);
    expect(share(four, 'coil.primary-open', 'dies')).toBeGreaterThan(0.8);
  });
});
