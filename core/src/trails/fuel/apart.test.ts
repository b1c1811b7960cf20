import { describe, expect, it } from 'vitest';
import { FUELLED } from '../../__tests__/fuelMachines.ts';
import { cranked } from '../../__tests__/crankMachines.ts';
import { house } from '../../__tests__/machines.ts';
import { readsAsInTheTrade } from '../../__tests__/tradeTable.ts';
import { burnsBeside, richnessAt } from '../../engine/ownMixture.ts';
import { lameCylinders } from '../../engine/squeeze.ts';
import { fitOf, type Fit } from '../../schema/fit.ts';
import { middleScene } from '../../tracing/middle.ts';
import { buildModel } from '../../tracing/model.ts';
import { FAST, IDLE } from '../../machine/state.ts';
import { carburettorsOf, feeds } from './apart.ts';

const FOUR_ON_TWO = FUELLED['electric pump, two carburettors, a sealed tank']!;
const model = buildModel(FOUR_ON_TWO, house);
const withFault = (id: string) => {
  const fault = model.faults.find((f) => f.id === id);
  if (!fault) throw new RangeError(id);
  return middleScene(model, fault);
};

describe('which carburettor feeds a cylinder', () => {
  const fit = (carburettors: number, cylinders: Fit['cylinders']): Fit => ({
    ...fitOf(FOUR_ON_TWO.fitOut),
    cylinders,
    fuel: { ...fitOf(FOUR_ON_TWO.fitOut).fuel!, carburettors },
  });
  it.each([
    [2, 2, [1, 2]],
    [2, 4, [1, 1, 2, 2]],
    [4, 4, [1, 2, 3, 4]],
    [3, 6, [1, 1, 2, 2, 3, 3]],
    // More than there are cylinders are not there.
    [4, 2, [1, 2]],
  ] as const)('%i on %i', (carburettors, cylinders, each) => {
    const own = fit(carburettors, cylinders);
    expect(each.map((_, i) => feeds(own, i + 1))).toEqual(each);
    expect(carburettorsOf(own)).toBe(Math.min(carburettors, cylinders));
  });
});

describe('one carburettor of two on four cylinders', () => {
  it('sound, gives every cylinder what the others have', () => {
    const scene = middleScene(model);
    for (const c of [1, 2, 3, 4]) {
      expect(richnessAt(scene, IDLE, c) / scene.see('richness', IDLE)).toBeCloseTo(1, 1);
      expect(burnsBeside(scene, IDLE, c)).toBeGreaterThan(0.98);
    }
  });
  it('with its idle passages blocked leaves its own two without an idle, and all of them with their power', () => {
    const scene = withFault('carburettor-2.idle-blocked');
    const idle = lameCylinders(scene, IDLE);
    expect(Math.max(idle[0]!, idle[1]!)).toBeLessThan(0.1);
    expect(Math.min(idle[2]!, idle[3]!)).toBeGreaterThan(0.8);
    expect(Math.max(...lameCylinders(scene, FAST))).toBeLessThan(0.15);
  });
  it('with its main jet blocked idles, and is weak fast on its own two', () => {
    const scene = withFault('carburettor-1.main-blocked');
    expect(Math.max(...lameCylinders(scene, IDLE))).toBeLessThan(0.15);
    expect(lameCylinders(scene, FAST)[0]).toBeGreaterThan(0.8);
    expect(lameCylinders(scene, FAST)[3]).toBeLessThan(0.1);
  });
});

describe('as in the trade', () => {
  readsAsInTheTrade(FOUR_ON_TWO, [
    ['fuel-mouth-1', undefined, 'slows down'],
    ['fuel-mouth-2', 'carburettor-2.idle-blocked', 'picks up'],
    ['fuel-mouth-1', 'carburettor-2.idle-blocked', 'slows down'],
    ['fuel-mouth-2', 'carburettor-2.enriched', 'smokes and stops'],
    ['fuel-bowl-drain-1', undefined, 'a bowlful, and again'],
    ['fuel-bowl-drain-1', 'carburettor-1.starved', 'hardly anything'],
    ['fuel-bowl-drain-2', 'carburettor-1.starved', 'a bowlful, and again'],
    ['fuel-bowl-drain-1', 'carburettor-1.floods', 'does not stop'],
    ['fuel-inside-2', undefined, 'sound'],
    ['fuel-inside-2', 'carburettor-2.idle-blocked', 'idle passages blocked'],
    ['fuel-inside-2', 'carburettor-2.main-blocked', 'main jet blocked'],
    ['fuel-inside-2', 'carburettor-2.floods', 'needle or float'],
    ['fuel-inside-2', 'carburettor-2.enriched', 'enricher does not seat'],
    ['fuel-drips', 'carburettor-2.floods', 'drips or runs'],
    ['fuel-pipes', undefined, 'all warm alike'],
    // Two of four stay cold: it hardly runs so, and no one pipe is the odd one.
    ['fuel-pipes', 'carburettor-2.idle-blocked', 'will not run so'],
    ['try-it', 'carburettor-2.idle-blocked', 'runs, but misses'],
  ]);
});

describe('a twin with a carburettor each, as in the trade', () => {
  const twin = cranked(
    [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true, coils: 'one each' } },
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 2, sealed: false, enriching: 'choke' } },
    ],
    { cylinders: 2 },
  );
  readsAsInTheTrade(twin, [
    ['fuel-pipes', 'carburettor-2.idle-blocked', 'only 2 stays cold'],
    ['look-plugs', 'carburettor-1.floods', 'only 1 is wet or sooty'],
    ['look-plugs', 'carburettor-2.main-blocked', 'only 2 is white'],
    ['look-plugs', undefined, 'all dry and even'],
  ]);
});
