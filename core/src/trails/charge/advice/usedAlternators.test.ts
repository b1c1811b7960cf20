import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { Scene } from '../../../machine/scene.ts';
import { chargerCan } from '../../../network/index.ts';
import { buildModel } from '../../../tracing/model.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { makingOf } from '../making.ts';
import { compareAlternators, usedAlternator, windingFrom, type UsedAlternator } from './usedAlternators.ts';

const model = buildModel(CHARGED['alternator with a lamp']!, house);
const scene = new Scene(
  model.machine,
  drawSound(model, () => 0.5),
);
const { fit } = model.machine;
const usual = makingOf('alternator', fit);

/** What the usual machine of so many times its size would give on a bench. */
const output = (rpm: number, volts: number, size = 1) => ({
  rpm,
  volts,
  amps:
    size *
    chargerCan(
      {
        type: 'charger',
        id: 'x',
        a: 'a',
        b: 'b',
        sign: 1,
        winding: 'three',
        halfWave: false,
        emfVolts: usual.voltsPerRpm * rpm,
        ohms: usual.ohms,
        reactanceOhms: usual.reactancePerRpm * rpm,
        diodeVolts: usual.diodeVolts,
        setVolts: 1e3,
        droopOhms: 0.01,
      },
      volts,
    ).amps,
});
const one = (name: string, more: Partial<UsedAlternator> = {}): UsedAlternator => ({
  name,
  bearings: 'quiet',
  brushMm: 14,
  price: 60,
  outputs: [output(2500, 13.5), output(6000, 14)],
  ...more,
});

describe('a winding from what it gave', () => {
  it('comes back from two speeds, and from three', () => {
    for (const outputs of [one('a').outputs, [...one('a').outputs, output(4000, 12.8)]]) {
      const found = windingFrom(fit, outputs)!;
      expect(found.voltsPerRpm / usual.voltsPerRpm).toBeCloseTo(1, 3);
      expect(found.reactancePerRpm / usual.reactancePerRpm).toBeCloseTo(1, 3);
    }
  });
  it('from one speed takes the usual volts', () => {
    expect(windingFrom(fit, [output(5000, 14)])!.reactancePerRpm / usual.reactancePerRpm).toBeCloseTo(1, 3);
  });
  it('has none for more amperes slowly than fast', () => {
    expect(
      windingFrom(fit, [
        { rpm: 1200, volts: 14, amps: 60 },
        { rpm: 6000, volts: 14, amps: 5 },
      ]),
    ).toBeUndefined();
  });
});

describe('used alternators', () => {
  it('the cheap one that rumbles and is down to its brushes costs more than the dear sound one', () => {
    const rank = compareAlternators(
      scene,
      [one('cheap', { price: 20, bearings: 'rumbles', brushMm: 5 }), one('sound')],
      40,
    );
    expect(rank.map((r) => r.name)).toEqual(['sound', 'cheap']);
    // 20 + bearings (18 + 60 min at 40) + brushes (14 + 50 min at 40)
    expect(rank[1]!.cost).toBeCloseTo(20 + 18 + 40 + 14 + (50 * 40) / 60, 6);
  });
  it('ripple is a diode: never first', () => {
    const rank = compareAlternators(scene, [one('ripples', { price: 1, rippleVolts: 1.4 }), one('sound')], 40);
    expect(rank[0]!.name).toBe('sound');
    expect(rank[1]!.does).toBe(false);
  });
  it('one that never carries what is taken comes behind one that does, whatever it costs', () => {
    const small = one('small', { price: 5, outputs: [output(2500, 13.5, 0.15), output(6000, 14, 0.15)] });
    const rank = compareAlternators(scene, [small, one('sound', { price: 200 })], 40);
    expect(rank.map((r) => [r.name, r.does])).toEqual([
      ['sound', true],
      ['small', false],
    ]);
  });
  it('what contradicts itself is said and comes last', () => {
    const odd = one('odd', {
      price: 0,
      outputs: [
        { rpm: 1200, volts: 14, amps: 60 },
        { rpm: 6000, volts: 14, amps: 5 },
      ],
    });
    const rank = compareAlternators(scene, [odd, one('sound')], 40);
    expect(rank[1]).toMatchObject({ name: 'odd', problem: expect.stringMatching(/contradict/) as string });
  });
  it('asks for one measurement at least, and for sizes that are possible', () => {
    expect(usedAlternator.safeParse(one('x', { outputs: [] })).success).toBe(false);
    expect(usedAlternator.safeParse(one('x', { price: -1 })).success).toBe(false);
  });
});
