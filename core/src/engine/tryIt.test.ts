import { describe, expect, it } from 'vitest';
import { KINDS } from '../__tests__/kinds.ts';
import { house, machine } from '../__tests__/machines.ts';
import type { Scene } from '../machine/scene.ts';
import { complaintLikelihood } from './complaint.ts';
import { Tracer } from '../tracing/trace.ts';
import { runsHow } from './tryIt.ts';

const tracer = new Tracer(machine(), house);
const scene = (...ids: string[]): Scene =>
  tracer.weigher.ensemble(ids.map((id) => tracer.model.faults.find((f) => f.id === id)!)).scene(4);
const likeliest = (shares: Readonly<Record<string, number>>) =>
  Object.entries(shares).sort((a, b) => b[1] - a[1])[0]![0];

describe('trying it', () => {
  it.each([
    ['runs even', []],
    ['runs, but misses', ['plug-3.fouled']],
    ['runs, but misses', ['lead-5.open']],
    ['does not fire', ['fuse.blown']],
    ['does not fire', ['plug-3.fouled', 'fuse.blown']],
    ['does not fire', ['coil.secondary-open', 'battery.flat']],
  ] as const)('it %s with %j', (word, faults) => {
    expect(likeliest(runsHow(scene(...faults)))).toBe(word);
  });
  it('stands where half of its work is gone, and where two fire at each other’s moment; one of six is not missed at the starter', () => {
    const twin = new Tracer(machine(KINDS['flywheel magneto, two cylinders']), house);
    const dead = (tracerOf: Tracer, ...ids: string[]) => {
      const faults = ids.map((id) => tracerOf.model.faults.find((f) => f.id === id)!);
      return runsHow(tracerOf.weigher.ensemble(faults).scene(4))['does not fire']!;
    };
    expect(dead(tracer, 'plug-3.fouled')).toBeLessThan(0.1);
    expect(dead(twin, 'plug-2.fouled')).toBeGreaterThan(0.15);
    expect(dead(tracer, 'lead-order.swapped')).toBeGreaterThan(0.3);
    expect(dead(tracer, 'lead-order.swapped')).toBeLessThan(0.7);
  });
  it('is a share of one, whatever is wrong', () => {
    for (const fault of tracer.model.faults.filter((f) => (f.part.cylinder ?? 1) === 1)) {
      const shares = Object.values(runsHow(scene(fault.id)));
      expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      for (const share of shares) expect(share).toBeGreaterThanOrEqual(0);
    }
  });
  it('says of a machine what its owner would complain of', () => {
    const noFire = { symptom: 'no-fire', pattern: 'constant', words: '', since: '', before: '' } as const;
    for (const fault of tracer.model.faults.filter((f) => (f.part.cylinder ?? 1) === 1)) {
      const own = scene(fault.id);
      const complained = complaintLikelihood(own, noFire);
      if (complained > 0.8) expect(runsHow(own)['does not fire'], fault.id).toBeGreaterThan(0.8);
      if (complained < 0.05) expect(runsHow(own)['does not fire'], fault.id).toBeLessThan(0.7);
    }
  });
  it.each(Object.keys(KINDS))('is possible on every kind, and a sound one runs even: %s', (kind) => {
    const own = new Tracer(machine(KINDS[kind]), house);
    const shares = own.weigher.ensemble([]).figures('even', (s) => runsHow(s)['runs even']!);
    expect(own.weigher.check('try-it')).toBeDefined();
    expect(shares.reduce((a, b) => a + b, 0) / shares.length).toBeGreaterThan(0.8);
  });
});
