import { describe, expect, it } from 'vitest';
import { cranked } from '../../../__tests__/crankMachines.ts';
import { house } from '../../../__tests__/machines.ts';
import { Scene } from '../../../machine/scene.ts';
import { CRANKING } from '../../../machine/state.ts';
import { motorAt } from '../../../network/index.ts';
import { buildModel } from '../../../tracing/model.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { startingOf } from '../starting.ts';
import { compareStarters, motorFrom, type UsedStarter } from './usedStarters.ts';

const model = buildModel(cranked([{ trail: 'crank', kind: 'direct', options: { interlocks: [] } }]), house);
const scene = new Scene(
  model.machine,
  drawSound(model, () => 0.5),
);
const { fit } = model.machine;
const made = startingOf(fit);

/** The starter this engine was made for, as a bench would find it: free with a little friction, and held. */
function onBench(share = 1): Pick<UsedStarter, 'free' | 'held'> {
  const motor = {
    type: 'motor',
    id: 'm',
    a: 'a',
    b: 'b',
    ohms: made.ohms / share,
    voltsPerRadian: made.voltsPerRadian,
    saturationAmps: made.saturationAmps,
    stillTorque: made.stillTorque * 0.12,
    torquePerRadian: made.torquePerRadian * 0.05,
  } as const;
  const free = motorAt(motor, 12);
  return {
    free: { volts: 12, amps: free.amps, rpm: ((free.speed * 30) / Math.PI) * 12 },
    held: { volts: 5, amps: 5 / motor.ohms },
  };
}
const one = (name: string, more: Partial<UsedStarter> = {}): UsedStarter => ({
  name,
  bearings: 'quiet',
  brushMm: 14,
  price: 80,
  teeth: 'good',
  ...onBench(),
  ...more,
});

describe('a starter from what the bench shows', () => {
  it('comes back: ohms from the held one, flux from the free one', () => {
    const found = motorFrom(fit, one('a'))!;
    expect(found.ohms / made.ohms).toBeCloseTo(1, 6);
    expect(found.voltsPerRadian / made.voltsPerRadian).toBeCloseTo(1, 6);
  });
  it('turns the engine as the machine’s own does', () => {
    const rpm = scene.see('crankingRpm', CRANKING);
    const said = Number(/at (\d+) rev/.exec(compareStarters(scene, [one('a')], 40)[0]!.why[0]!)![1]);
    expect(Math.abs(said / rpm - 1)).toBeLessThan(0.03);
  });
});

describe('used starters', () => {
  it('one with a third of its copper left in circuit is too slow, and said so', () => {
    const weak = one('weak', { price: 10, ...onBench(0.25) });
    const rank = compareStarters(scene, [weak, one('sound')], 40);
    expect(rank.map((r) => [r.name, r.does])).toEqual([
      ['sound', true],
      ['weak', false],
    ]);
    expect(rank[1]!.why[1]).toMatch(/too slow/);
  });
  it('chipped teeth are a new drive before it is fitted', () => {
    const [first] = compareStarters(scene, [one('chipped', { teeth: 'chipped', price: 0 })], 40);
    expect(first!.wants[0]).toMatchObject({ chance: 1, money: 35 });
    expect(first!.cost).toBeCloseTo(35 + (40 * 40) / 60, 6);
  });
  it('figures that cannot be are said', () => {
    const odd = one('odd', { free: { volts: 2, amps: 300, rpm: 1000 }, held: { volts: 10, amps: 100 } });
    expect(compareStarters(scene, [odd], 40)[0]!.problem).toMatch(/measure again/);
  });
});
