import { describe, expect, it } from 'vitest';
import { BREATHING } from '../../../__tests__/breathingMachines.ts';
import { readsLike } from '../../../__tests__/readsLike.ts';

const engine = BREATHING['with spark, fuel and timing']!;

/** What a mechanic would see on such an engine, sound and with its faults: from the trade, not from the model. */
describe('by eye, hand and spray', () => {
  it.each([
    ['air-spray-joint', undefined, 'no change'],
    ['air-spray-joint', 'air-gasket.leaks', 'it changes'],
    ['air-spray-joint', 'air-hose.off', 'no change'],
    ['air-hoses', 'air-hose.off', 'it changes'],
    ['air-hoses', 'air-gasket.leaks', 'no change'],
    ['air-filter-look', undefined, 'clear'],
    ['air-filter-look', 'air-filter.blocked', 'blocked'],
    ['air-screw-turned', undefined, 'falls off both ways'],
    ['air-screw-turned', 'air-screw.weak', 'better richer'],
    ['air-screw-turned', 'air-screw.rich', 'better weaker'],
    ['air-screw-turned', 'air-gasket.leaks', 'better richer'],
    ['air-screw-turned', 'fuel-idle-jet.blocked', 'better richer'],
    ['air-stop-look', undefined, 'on its stop'],
    ['air-stop-look', 'air-stop.shut', 'backed off'],
    ['air-stop-look', 'air-stop.open', 'does not shut'],
    ['air-exhaust-hand', undefined, 'strong'],
    ['air-exhaust-hand', 'air-exhaust.blocked', 'hardly anything'],
  ] as const)('%s with %s: %s', (check, fault, word) => {
    expect(readsLike(engine, check, fault)).toBe(word);
  });
});

describe('by figures', () => {
  it('weights whose springs are gone raise an idle’s timing, not its mixture', () => {
    expect(readsLike(engine, 'timing-idle', 'timing-weights.springs')).toBeGreaterThan(20);
    expect(readsLike(engine, 'air-screw-turned', 'timing-weights.springs')).toBe('falls off both ways');
  });
  it('a blocked filter does not show at idle: the throttle is the narrow place there', () => {
    const sound = readsLike(engine, 'air-rpm-idle') as number;
    const blocked = readsLike(engine, 'air-rpm-idle', 'air-filter.blocked', 0.1) as number;
    expect(Math.abs(blocked / sound - 1)).toBeLessThan(0.25);
  });
});
