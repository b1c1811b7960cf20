import { describe, expect, it } from 'vitest';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, noFire } from '../__tests__/machines.ts';
import { readsAsInTheTrade } from '../__tests__/tradeTable.ts';
import { WARMING } from '../machine/state.ts';
import { middleScene } from '../tracing/middle.ts';
import { Tracer } from '../tracing/trace.ts';

const car = FUELLED['mechanical pump, breaker points']!;

describe('from a cold start until it is warm, as in the trade', () => {
  readsAsInTheTrade(car, [
    ['warm-up', undefined, 'even throughout'],
    ['warm-up', 'fuel-choke.open', 'stumbles until warm'],
    ['warm-up', 'fuel-choke.shut', 'worse as it warms'],
    ['warm-up', 'fuel-tank.empty', 'will not run'],
    ['warm-up', 'coil.primary-open', 'will not run'],
  ]);
});

describe('an engine that is still cold', () => {
  const tracer = new Tracer(car, house);
  const says = (symptom: 'cold-runs' | 'no-idle' | 'hard-start', faultId?: string): number => {
    const faults = faultId ? [tracer.model.faults.find((f) => f.id === faultId)!] : [];
    return tracer.weigher.complaintShare(faults, { ...noFire, symptom });
  };
  it('is fed as it should be by a sound choke', () => {
    expect(middleScene(tracer.model).see('richness', WARMING)).toBeCloseTo(1, 1);
  });
  it('runs badly with a choke that never closes, and well soon after', () => {
    expect(says('cold-runs', 'fuel-choke.open')).toBeGreaterThan(0.3);
    expect(says('cold-runs')).toBeLessThan(0.04);
  });
  it('is well where the trouble comes with the warmth, and where it stays', () => {
    expect(says('cold-runs', 'fuel-choke.shut')).toBeLessThan(0.1);
    expect(says('cold-runs', 'fuel-idle-jet.blocked')).toBeLessThan(0.1);
  });
  it('begins with the trails that can explain it, fuel and air first', () => {
    const { trails } = tracer.trace({ ...noFire, symptom: 'cold-runs' }, [], {
      warmth: 'unknown',
      faultPresent: 'yes',
    });
    expect(new Set(trails.slice(0, 2).map((t) => t.trail))).toEqual(new Set(['fuel', 'air']));
  });
});
