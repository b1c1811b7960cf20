import { describe, expect, it } from 'vitest';
import { readsLike } from '../../../__tests__/readsLike.ts';
import { TIMED } from '../../../__tests__/timedMachines.ts';

const pod = TIMED['weights-vacuum']!;
const map = TIMED['map']!;

/** What a mechanic would see on such a distributor, sound and with its faults: from the trade, not from the model. */
describe('by eye and hand', () => {
  it.each([
    [pod, 'timing-rotor', undefined, 'at number one'],
    [pod, 'timing-rotor', 'timing-body.half', 'opposite'],
    [pod, 'timing-rotor', 'timing-body.late', 'well off'],
    [pod, 'timing-rotor', 'timing-chain.jumped', 'well off'],
    [pod, 'timing-rotor', 'timing-weights.seized', 'at number one'],
    [pod, 'timing-stop', undefined, 'in the middle'],
    [pod, 'timing-stop', 'timing-mark.slipped', 'off'],
    [pod, 'timing-stop', 'timing-body.late', 'in the middle'],
    [pod, 'timing-slack', 'timing-chain.worn', 'follows late'],
    [pod, 'timing-slack', 'timing-chain.jumped', 'follows at once'],
    [pod, 'timing-cover', 'timing-chain.jumped', 'a tooth off'],
    [pod, 'timing-cover', 'timing-chain.worn', 'in line'],
    [pod, 'timing-twist', undefined, 'springs back'],
    [pod, 'timing-twist', 'timing-weights.seized', 'does not move'],
    [pod, 'timing-twist', 'timing-weights.springs', 'stays, or flops'],
    [pod, 'timing-pod-hand', undefined, 'holds and moves'],
    [pod, 'timing-pod-hand', 'timing-pod.leaks', 'falls off'],
    [pod, 'timing-pod-hand', 'timing-pod.hose', 'holds and moves'],
    [pod, 'timing-hose', 'timing-pod.hose', 'off or split'],
    [pod, 'timing-hose', 'timing-pod.leaks', 'on and whole'],
    [map, 'timing-sensor', undefined, 'sound'],
    [map, 'timing-sensor', 'timing-map.limp', 'off or broken'],
    [map, 'timing-sensor', 'timing-map.lost', 'sound'],
  ] as const)('%#: %j reads as it should', (machine, check, fault, word) => {
    expect(readsLike(machine, check, fault), `${check} with ${fault ?? 'nothing wrong'}`).toBe(word);
  });
});

describe('an electronic map by the light', () => {
  const fast = (fault?: string) => readsLike(map, 'timing-fast', fault) as number;
  it('moves up by twenty degrees and more; without its sensor it stays where it idles', () => {
    expect(fast() - (readsLike(map, 'timing-idle') as number)).toBeGreaterThan(19);
    expect(fast('timing-map.limp')).toBeCloseTo(readsLike(map, 'timing-idle', 'timing-map.limp') as number, 6);
  });
  it('a chain that jumped is late by a tooth, 17 to 23 degrees, at every speed', () => {
    for (const check of ['timing-crank', 'timing-idle', 'timing-fast']) {
      const late = (readsLike(map, check) as number) - (readsLike(map, check, 'timing-chain.jumped') as number);
      expect(late, check).toBeGreaterThan(16.9);
      expect(late, check).toBeLessThan(23.1);
    }
  });
});
