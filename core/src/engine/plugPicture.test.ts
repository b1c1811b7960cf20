import { describe, expect, it } from 'vitest';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { readsLike } from '../__tests__/readsLike.ts';
import { SQUEEZING } from '../__tests__/squeezingMachines.ts';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { Tracer } from '../tracing/trace.ts';
import type { JobEvent } from '../schema/job.ts';
import { faultShares } from '../tracing/suspects.ts';

const breathing = BREATHING['with spark, fuel and timing']!;
const squeezing = SQUEEZING['four cylinders, with spark, fuel, timing and air']!;

/** From the trade: what lies on the plugs is what the engine did to them. */
describe('plugs, side by side', () => {
  it.each([
    [breathing, undefined, 'all dry and even'],
    [breathing, 'coil.primary-open', 'all wet or sooty'],
    [breathing, 'points.burnt', 'all wet or sooty'],
    [breathing, 'fuel-needle.leaks', 'all wet or sooty'],
    [breathing, 'fuel-choke.shut', 'all wet or sooty'],
    [breathing, 'fuel-tank.empty', 'all dry and even'],
    [breathing, 'lead-3.open', 'only 3 is wet or sooty'],
    [breathing, 'plug-2.fouled', 'only 2 is wet or sooty'],
    [breathing, 'plug-2.wide', 'only 2 has a wide gap'],
    [squeezing, 'compression-rings-4.worn', 'only 4 is oily'],
    [squeezing, 'compression-bores.worn', 'all oily'],
    [squeezing, 'compression-exhaust-1.burnt', 'only 1 is wet or sooty'],
  ] as const)('%#: with %j', (body, fault, word) => {
    expect(readsLike(body, 'look-plugs', fault), fault ?? 'nothing wrong').toBe(word);
  });
  it('a main jet that is half blocked runs it weak and its plugs white; blocked outright it does not start at all', () => {
    expect(readsLike(breathing, 'look-plugs', 'fuel-main-jet.blocked', 0.1)).toBe('all white');
    expect(readsLike(breathing, 'look-plugs', 'fuel-main-jet.blocked', 1)).toBe('all dry and even');
  });
  it('wet plugs on an engine that does not fire hardly accuse the plugs, once there is no spark at the coil', () => {
    const tracer = new Tracer(machine({ cylinders: 4, ballast: 'none' }), house);
    const shares = (...events: JobEvent[]) =>
      [...faultShares(tracer.belief(noFire, events))]
        .filter(([f]) => f.part.station === 'plugs')
        .reduce((sum, [, share]) => sum + share, 0);
    const wet = reading('look-plugs', 'all wet or sooty');
    expect(shares(wet)).toBeLessThan(2 * shares());
    expect(shares(wet, reading('spark-coil-lead', 'none'))).toBeLessThan(0.03);
  });
});
