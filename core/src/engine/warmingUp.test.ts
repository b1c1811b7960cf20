import { describe, expect, it } from 'vitest';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { house, noFire } from '../__tests__/machines.ts';
import { readsAsInTheTrade } from '../__tests__/tradeTable.ts';
import { WARMING } from '../machine/state.ts';
import { middleScene } from '../tracing/middle.ts';
import { Tracer } from '../tracing/trace.ts';

describe('a cold diesel', () => {
  const diesel = new Tracer(CRANKED['glow plugs on a shared feed, twenty-four volts']!, house);
  const says = (symptom: 'cold-runs' | 'hard-start' | 'no-fire', faultId?: string): number => {
    const faults = faultId ? [diesel.model.faults.find((f) => f.id === faultId)!] : [];
    return diesel.weigher.complaintShare(faults, { ...noFire, symptom });
  };
  it('starts well when it is heated', () => {
    expect(says('hard-start')).toBeLessThan(0.1);
    expect(says('cold-runs')).toBeLessThan(0.05);
  });
  it.each(['preheating.dead', 'preheat-feed.dead'])('without heat it starts badly, or not at all: %s', (fault) => {
    expect(says('hard-start', fault)).toBeGreaterThan(0.3);
    expect(says('no-fire', fault)).toBeGreaterThan(0.1);
  });
  it('with some of its plugs dead it starts, uneven until it is warm', () => {
    expect(says('cold-runs', 'preheating.some')).toBeGreaterThan(0.25);
    expect(says('no-fire', 'preheating.some')).toBeLessThan(says('no-fire', 'preheating.dead'));
  });
});

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
