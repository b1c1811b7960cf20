import { describe, expect, it } from 'vitest';
import { readsLike } from '../../../__tests__/readsLike.ts';
import { SQUEEZING } from '../../../__tests__/squeezingMachines.ts';
import { leftAfter } from './looked.ts';

const four = SQUEEZING['four cylinders, with spark, fuel, timing and air']!;
const two = SQUEEZING['two strokes with reeds']!;
const diesel = SQUEEZING['a diesel of three']!;
const bar = (check: string, fault?: string, machine = four) => (readsLike(machine, check, fault) as number) / 1e5;

/** What a mechanic would see on such an engine, sound and with its faults: from the trade, not from the model. */
describe('by ear, eye and air', () => {
  it.each([
    [four, 'compression-listen', undefined, 'even'],
    [four, 'compression-listen', 'compression-exhaust-3.burnt', 'one runs through'],
    [four, 'compression-listen', 'compression-bores.worn', 'spins freely'],
    [two, 'compression-listen', undefined, 'holds'],
    [two, 'compression-listen', 'compression-rings-1.worn', 'runs through'],
    [four, 'compression-hiss', undefined, 'hardly anywhere'],
    [four, 'compression-hiss', 'compression-rings-2.worn', 'oil filler'],
    [four, 'compression-hiss', 'compression-exhaust-2.burnt', 'exhaust pipe'],
    [four, 'compression-hiss', 'compression-exhaust-2.tight', 'exhaust pipe'],
    [four, 'compression-hiss', 'compression-intake-4.leaks', 'intake'],
    [four, 'compression-hiss', 'compression-gasket.between-2', 'next plug hole'],
    [four, 'compression-hiss', 'compression-gasket.water-4', 'bubbles in the water'],
    [four, 'compression-hiss', 'compression-gasket.out-1', 'around the joint'],
    [four, 'compression-wet', 'compression-rings-1.worn', 'rises well'],
    [four, 'compression-wet', 'compression-bores.worn', 'rises well'],
    [four, 'compression-wet', 'compression-exhaust-1.burnt', 'hardly rises'],
    [four, 'compression-wet', 'compression-gasket.between-1', 'hardly rises'],
    [four, 'compression-clearances', undefined, 'all in band'],
    [four, 'compression-clearances', 'compression-exhaust-2.tight', 'none at exhaust 2'],
    [four, 'compression-clearances', 'compression-exhaust-2.burnt', 'all in band'],
    [four, 'compression-breather', 'compression-bores.worn', 'puffs'],
    [four, 'compression-breather', 'compression-exhaust-1.burnt', 'hardly a breath'],
    [four, 'compression-bubbles', 'compression-gasket.water-4', 'bubbles or cream'],
    [four, 'compression-bubbles', 'compression-gasket.between-1', 'still and clean'],
    [four, 'cylinder-drop', 'compression-exhaust-3.burnt', 'only 3 makes none'],
    [four, 'compression-unplugged', undefined, 'it stopped with the key'],
    [four, 'compression-unplugged', 'compression-chambers.carbon', 'goes on unevenly'],
    [four, 'compression-unplugged', 'switch.stays-on', 'stops now'],
    [four, 'compression-chamber-look', 'compression-chambers.carbon', 'thick and hard'],
    [diesel, 'compression-unions', undefined, 'all drop alike'],
    [diesel, 'compression-unions', 'compression-intake-2.sticks', 'only 2 makes none'],
    [two, 'compression-spit', 'compression-reeds.chipped', 'wet'],
    [two, 'compression-reeds-look', 'compression-reeds.chipped', 'one open or chipped'],
    [two, 'compression-port-look', 'compression-port.carbon', 'choked'],
    [two, 'fuel-choke-hand-idle', 'compression-crankcase.leaks', 'picks up'],
  ] as const)('%#: %j reads as it should', (machine, check, fault, word) => {
    expect(readsLike(machine, check, fault), `${check} with ${fault ?? 'nothing wrong'}`).toBe(word);
  });
});

describe('by the gauge', () => {
  it('sound: 8 to 13 bar at a ratio of 8, all alike; a diesel 20 and more', () => {
    for (const n of [1, 2, 3, 4]) {
      expect(bar(`compression-${n}`)).toBeGreaterThan(8);
      expect(bar(`compression-${n}`)).toBeLessThan(13);
      expect(bar(`compression-${n}`)).toBeCloseTo(bar('compression-1'), 9);
    }
    expect(bar('compression-1', undefined, diesel)).toBeGreaterThan(20);
  });
  it('a burnt valve is its own cylinder’s alone; a gasket between two is low on both', () => {
    expect(bar('compression-2', 'compression-exhaust-2.burnt')).toBeLessThan(0.7 * bar('compression-2'));
    expect(bar('compression-3', 'compression-exhaust-2.burnt')).toBeCloseTo(bar('compression-3'), 9);
    for (const n of [2, 3])
      expect(bar(`compression-${n}`, 'compression-gasket.between-2')).toBeLessThan(0.75 * bar(`compression-${n}`));
    expect(bar('compression-4', 'compression-gasket.between-2')).toBeCloseTo(bar('compression-4'), 9);
  });
  it('a chain that jumped lowers all alike, and nothing leaks', () => {
    const jumped = [1, 2, 3, 4].map((n) => bar(`compression-${n}`, 'timing-chain.jumped'));
    expect(Math.max(...jumped)).toBeLessThan(0.92 * bar('compression-1'));
    expect(Math.max(...jumped) - Math.min(...jumped)).toBeLessThan(1e-9);
    expect(readsLike(four, 'compression-leakdown', 'timing-chain.jumped')).toBe(
      readsLike(four, 'compression-leakdown'),
    );
  });
  it('leak-down: under a tenth when sound, over a third with a burnt valve', () => {
    expect(readsLike(four, 'compression-leakdown')).toBeLessThan(0.1);
    expect(readsLike(four, 'compression-leakdown', 'compression-exhaust-1.burnt')).toBeGreaterThan(0.33);
  });
  it('a crankcase that is tight keeps nine tenths for a minute; by Torricelli one that leaks is empty', () => {
    expect(readsLike(two, 'compression-crankcase')).toBeGreaterThan(36e3);
    expect(readsLike(two, 'compression-crankcase', 'compression-crankcase.leaks')).toBeLessThan(1e3);
    // Step by step instead of in one formula.
    const [litres, hole] = [0.12, 2e-9];
    let p = 40e3;
    for (let k = 0; k < 60_000; k++)
      p -= ((101_325 * 0.65 * hole * Math.sqrt((2 * p) / 1.2)) / (2.4 * litres * 1e-3)) * 1e-3;
    expect(leftAfter(hole, litres) / p).toBeCloseTo(1, 3);
  });
});

describe('a joint that lets by at one cylinder', () => {
  it.each(['water', 'out'])(
    '%s: that cylinder reads low on the gauge and is found from its plug hole, no other',
    (way) => {
      for (const at of [1, 3, 4]) {
        const fault = `compression-gasket.${way}-${at}`;
        for (const n of [1, 2, 3, 4]) {
          const [own, sound] = [bar(`compression-${n}`, fault), bar(`compression-${n}`)];
          if (n === at) expect(own).toBeLessThan(0.85 * sound);
          else expect(own).toBeCloseTo(sound, 3);
        }
      }
    },
  );
});
