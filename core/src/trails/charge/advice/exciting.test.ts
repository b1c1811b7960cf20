import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { Scene } from '../../../machine/scene.ts';
import { buildModel } from '../../../tracing/model.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { fluxShare, startsAtRpm } from '../exciting.ts';
import { bestExciter, excitingOf } from './exciting.ts';

function of(name: string) {
  const model = buildModel(CHARGED[name]!, house);
  const scene = new Scene(
    model.machine,
    drawSound(model, () => 0.5),
  );
  return { fit: model.machine.fit, found: excitingOf(scene) };
}

describe('flux of a rotor', () => {
  it('is whole at the full field, nearly twice in proportion to a small one, and a little without any', () => {
    expect(fluxShare(3.3, 3.3)).toBeCloseTo(1, 12);
    expect(fluxShare(0.033, 3.3) - fluxShare(0, 3.3)).toBeCloseTo(0.02, 3);
    expect(fluxShare(0, 3.3)).toBeLessThan(0.02);
  });
});

describe('what starts an alternator', () => {
  const { fit, found } = of('alternator with a lamp');
  const lamp = (watts: number) => found!.find((e) => e.exciter.kind === 'lamp' && e.exciter.watts === watts)!;
  it('by hand: 0.2 A in 3.6 Ω of a twelve-volt rotor, 7.1 mV a rev/min, driven at 2.1', () => {
    // (1.5 + 0.2·3.6) V over 2.339 · 0.0071 V · (0.005 + 0.995·0.4/3.533) · 2.1
    expect(startsAtRpm(fit, 3.6, 0.2)).toBeCloseTo(2.22 / (2.339 * 0.0071 * 0.11764 * 2.1), 0);
  });
  it('the usual lamp of two or three watts starts it below its idle, an LED never', () => {
    expect(lamp(2).starts).toBe('by itself');
    expect(lamp(3).starts).toBe('by itself');
    expect(found!.find((e) => e.exciter.kind === 'LED')!.starts).toBe('not at all');
  });
  it('a lamp takes its watts less what the rotor leaves it', () => {
    expect(lamp(3).amps).toBeGreaterThan(0.95 * (3 / 12.6));
    expect(lamp(3).amps).toBeLessThan(1.1 * (3 / 12));
  });
  it('more current starts it sooner, and brings more back after the key is off', () => {
    const resistors = found!.filter((e) => e.exciter.kind === 'resistor');
    for (const [k, e] of resistors.entries()) {
      const next = resistors[k + 1];
      if (!next) continue;
      expect(next.startsRpm).toBeGreaterThan(e.startsRpm);
      expect(next.backVolts).toBeLessThan(e.backVolts);
    }
  });
  it('a resistor is asked to stand twice its heat', () => {
    const e = found!.find((x) => x.exciter.kind === 'resistor' && x.exciter.ohms === 47)!;
    expect(e.watts).toBeCloseTo(e.amps ** 2 * 47, 2);
    expect(e.ratedWatts).toBeGreaterThanOrEqual(2 * e.watts);
  });
  it('points and a coil that draws four amperes do not run on through it', () => {
    for (const e of found!) expect(e.runsOn).toBeLessThan(0.05);
  });
  it('names a lamp that starts it with a margin', () => {
    expect(bestExciter(found!, fit)!.exciter).toEqual({ kind: 'lamp', watts: 2 });
  });
  it('nothing is asked of a generator or of permanent magnets', () => {
    expect(of('generator, twelve volts, without a lamp').found).toBeUndefined();
    expect(of('three phases under a flywheel').found).toBeUndefined();
  });
});
