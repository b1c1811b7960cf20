import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../../../__tests__/everyKind.ts';
import { house } from '../../../__tests__/machines.ts';
import { RUNNING } from '../../../machine/state.ts';
import { middleScene } from '../../../tracing/middle.ts';
import { buildModel } from '../../../tracing/model.ts';
import { leakAtWork } from './condenser.ts';

describe('a condenser that leaks', () => {
  it('leaks more under its working volts than on an ohmmeter; a good one does not', () => {
    expect(leakAtWork(1e8)).toBe(1e8);
    expect(leakAtWork(2e7)).toBeCloseTo(2e7, 0);
    let last = 0;
    for (const ohms of [200, 2e3, 2e4, 2e5, 1e6, 5e6, 2e7]) {
      expect(leakAtWork(ohms)).toBeGreaterThan(last);
      expect(leakAtWork(ohms)).toBeLessThanOrEqual(ohms);
      last = leakAtWork(ohms);
    }
  });
  const pointed = EVERY_KIND.map(([name, body]) => [name, buildModel(body, house)] as const).filter(([, model]) =>
    model.faults.some((f) => f.mode.id === 'leaky' && f.part.kind.kind === 'condenser'),
  );
  it.each(pointed)('%s: some kilo-ohms on a meter take its spark, tens of megohms do not', (_name, model) => {
    const leaky = model.faults.find((f) => f.mode.id === 'leaky' && f.part.kind.kind === 'condenser')!;
    const spark = (severity?: number) => {
      const scene = severity === undefined ? middleScene(model) : middleScene(model, leaky, severity);
      const { availableVolts, requiredVolts } = scene.spark('plug', RUNNING, leaky.part.cylinder ?? 1);
      return availableVolts / requiredVolts;
    };
    expect(spark(0)).toBeGreaterThan(0.95 * spark());
    expect(spark(0.95)).toBeLessThan(1);
  });
});
