import { describe, expect, it } from 'vitest';
import { machine } from '../../../__tests__/machines.ts';
import { burn, columnOf, dampedPeakShare } from '../../../ignition/index.ts';
import { measure, solveTransient } from '../../../network/index.ts';
import { houseSchema } from '../../../schema/index.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { withBad } from '../../../__tests__/withBad.ts';
import { buildModel } from '../../../tracing/model.ts';
import { Scene } from '../../../machine/scene.ts';
import { ironOhms } from '../ironOhms.ts';

const model = buildModel(machine(), houseSchema.parse({}));
const sound = drawSound(model, () => 0.5);
const CRANK = { key: 'crank', points: 'turning' } as const;
const sceneOf = (id?: string, severity = 0.5) => {
  const fault = model.faults.find((f) => f.id === id);
  if (id && !fault) throw new Error(id);
  return new Scene(model.machine, fault ? withBad(model, sound, fault, severity) : sound);
};
const solved = (scene: Scene, sparks: boolean) => {
  const plan = scene.machine.firing(scene, CRANK, 1, sparks);
  const run = solveTransient(plan.circuit, { until: plan.until, longest: plan.longest, fromInitial: true });
  if (!run.ok) throw new Error(run.code);
  return { run, at: plan.at, secondaryVolts: measure(columnOf(run, 'sec'), plan.at, plan.until).peak };
};
const formula = (scene: Scene) => {
  const { availableVolts } = scene.spark('plug', CRANK, 1);
  return availableVolts;
};

describe('a machine’s own firing, solved through time', () => {
  it.each([
    undefined,
    'points.burnt',
    'ballast.open',
    'coil.wrong',
    'coil-feed.corroded',
    'condenser.leaky',
    'coil.primary-shorted',
    'battery.flat',
  ])('%s: the formula of the trace stays within 15 % of it, or neither sparks', (id) => {
    const [transient, closed] = [solved(sceneOf(id), false).secondaryVolts, formula(sceneOf(id))];
    if (transient < 1500) expect(closed).toBeLessThan(3000);
    else expect(Math.abs(closed / transient - 1)).toBeLessThan(0.15);
  });
  it('has nothing to give with the points shut for good, or with an open primary', () => {
    expect(solved(sceneOf('points.closed-up'), false).secondaryVolts).toBeLessThan(500);
    expect(solved(sceneOf('coil.primary-open'), false).secondaryVolts).toBeLessThan(500);
  });
  it('burns at a plug for a part of a millisecond at least, when all is well', () => {
    const fired = solved(sceneOf(), true);
    const burned = burn(fired.run, 5e3, fired.at);
    expect(burned.seconds).toBeGreaterThan(0.4e-3);
    expect(burned.joules).toBeGreaterThan(5e-3);
  });
});

it('iron takes the share it is asked to', () => {
  for (const share of [0.95, 0.8, 0.5]) expect(dampedPeakShare(700e3, ironOhms(700e3, share))).toBeCloseTo(share, 6);
});
