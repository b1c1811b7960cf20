import { describe, expect, it } from 'vitest';
import { KEY_ON_CLOSED, KEY_ON_OPEN } from '../../checks.ts';
import type { FitOutOne } from '../../../schema/upgrade.ts';
import { house, machine } from '../../../__tests__/machines.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { withBad } from '../../../__tests__/withBad.ts';
import { buildModel } from '../../../tracing/model.ts';
import { buildMachine } from '../../index.ts';
import { Scene } from '../../../machine/scene.ts';

const model = buildModel(machine(), house);
const sound = drawSound(model, () => 0.5);
const scene = (id?: string, severity = 0.5) => {
  const fault = model.faults.find((f) => f.id === id);
  return new Scene(model.machine, fault ? withBad(model, sound, fault, severity) : sound);
};
const CRANK = { key: 'crank', points: 'turning' } as const;

describe('one layout for every fit-out', () => {
  const fits: FitOutOne[] = ([6, 12] as const).flatMap((volts) =>
    ([4, 6, 8] as const).flatMap((cylinders) =>
      (['none', 'external', 'bypassed'] as const).flatMap((ballast) =>
        [true, false].map((fused): FitOutOne => ({
          layout: 'battery-points',
          volts,
          cylinders,
          ballast,
          fused,
          earth: 'negative',
          marine: false,
          compressionRatio: 8,
        })),
      ),
    ),
  );
  it.each(fits)('$volts V, $cylinders cylinders, ballast $ballast, fused $fused', (fit) => {
    const layout = buildMachine(machine(fit).fitOut);
    expect(layout.stations.some((s) => s.id === 'ballast')).toBe(fit.ballast !== 'none');
    expect(layout.stations.some((s) => s.id === 'fuse')).toBe(fit.fused);
    expect(layout.parts.filter((p) => p.id.startsWith('plug-'))).toHaveLength(fit.cylinders);
    const own = buildModel(machine(fit), house);
    const at = new Scene(
      own.machine,
      drawSound(own, () => 0.5),
    );
    for (const state of [KEY_ON_CLOSED, KEY_ON_OPEN, { key: 'crank', points: 'closed' } as const])
      expect(at.solve(state).floating).not.toContain('coil+');
    // A sound machine fires on every cylinder while cranking.
    for (let i = 1; i <= fit.cylinders; i++) {
      const spark = at.spark('plug', CRANK, i);
      expect(spark.availableVolts / spark.requiredVolts).toBeGreaterThan(1.05);
    }
  });
});

describe('a scene', () => {
  it('keeps the current of a coil within what points stand', () => {
    const amps = Math.abs(scene().solve(KEY_ON_CLOSED).amps('coil'));
    expect(amps).toBeGreaterThan(2.5);
    expect(amps).toBeLessThan(5);
    expect(Math.abs(scene('ballast.bypassed').solve(KEY_ON_CLOSED).amps('coil'))).toBeGreaterThan(6);
  });
  it('with the key off nothing flows', () => {
    expect(Math.abs(scene().solve({ key: 'off', points: 'closed' }).amps('coil'))).toBeLessThan(1e-6);
  });
  it('borrowed solutions are what it would have solved itself', () => {
    const base = scene();
    base.solve(KEY_ON_CLOSED);
    const fouled = withBad(
      model,
      sound,
      model.faults.find((f) => f.id === 'plugs.fouled')!,
      0.5,
    );
    const [borrowed, own] = [new Scene(model.machine, fouled, base), new Scene(model.machine, fouled)];
    for (const node of ['coil+', 'coil-', 'plate', 'main'])
      expect(borrowed.solve(KEY_ON_CLOSED).volts(node)).toBe(own.solve(KEY_ON_CLOSED).volts(node));
  });
  it('lends its bench to nobody: a broken lead reads open, the sound machine’s own does not', () => {
    const broken = model.faults.find((f) => f.id === 'lead-3.open')!;
    const base = scene();
    const faulty = new Scene(model.machine, withBad(model, sound, broken, 0.5), base);
    const state = { key: 'off', points: 'open' } as const;
    const ohms = (of: Scene) => {
      const at = of.network(state, 'lead-3').operatingPoint();
      return at.ok ? at.outputOhms('lead-3:a', 'lead-3:b') : NaN;
    };
    expect(ohms(faulty)).toBeGreaterThan(1e8);
    expect(ohms(base)).toBeLessThan(20e3);
  });
  it('leaves out what is unplugged', () => {
    const names = scene()
      .elements({ ...KEY_ON_CLOSED, unplugged: ['coil'] })
      .map((e) => e.id);
    expect(names).not.toContain('coil');
    expect(names).toContain('points');
    expect(
      scene()
        .elements(KEY_ON_CLOSED, 'coil')
        .every((e) => e.id.startsWith('coil')),
    ).toBe(true);
  });
});

describe('a short', () => {
  it('melts the fuse before anyone measures, unless the coil stands between', () => {
    expect(scene('coil-feed.chafed').params['fuse']!['ohms']).toBeGreaterThan(1e9);
    expect(scene('condenser.shorted').params['fuse']!['ohms']).toBeLessThan(1);
    expect(scene().params['fuse']!['ohms']).toBeLessThan(1);
  });
});

describe('spark', () => {
  const at = (place: 'coil lead' | 'plug lead' | 'plug', id?: string, cylinder = 1) =>
    scene(id).spark(place, CRANK, cylinder);
  it('asks more the further it has to go', () => {
    expect(at('plug lead').requiredVolts).toBeGreaterThan(at('coil lead').requiredVolts);
    expect(at('plug').requiredVolts).toBeGreaterThan(at('plug lead').requiredVolts);
  });
  it('of a coil wired the wrong way asks more and gives no more', () => {
    expect(at('plug', 'coil.reversed').requiredVolts / at('plug').requiredVolts).toBeGreaterThan(1.1);
    expect(at('plug', 'coil.reversed').availableVolts).toBeCloseTo(at('plug').availableVolts, 6);
  });
  it('is lost on its own cylinder only, when its own lead or plug is bad', () => {
    expect(at('plug', 'plug-2.fouled', 2).availableVolts).toBeLessThan(
      at('plug', 'plug-2.fouled', 3).availableVolts / 2,
    );
  });
  it('loses energy in resistance, hardly voltage', () => {
    const free = scene();
    const resisted = new Scene(model.machine, { ...sound, 'coil-lead': { ...sound['coil-lead']!, ohms: 40e3 } });
    const [a, b] = [free, resisted].map((s) => s.spark('coil lead', CRANK, 1));
    expect(b!.availableVolts).toBeCloseTo(a!.availableVolts, 6);
    expect(b!.joules).toBeLessThan(a!.joules * 0.7);
  });
});
