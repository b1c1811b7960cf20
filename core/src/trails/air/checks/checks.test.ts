import { describe, expect, it } from 'vitest';
import { BREATHING } from '../../../__tests__/breathingMachines.ts';
import { SQUEEZING } from '../../../__tests__/squeezingMachines.ts';
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

const twin = BREATHING['two carburettors, a servo, valves of crankcase and canister']!;
it('an idle screw whose passages are shut has nothing left to meter', () => {
  expect(readsLike(engine, 'air-screw-turned', 'fuel-idle-jet.blocked', 0.98)).toBe('no difference');
});

describe('several carburettors, and what hangs on their hoses', () => {
  it.each([
    ['air-balance-ear', undefined, 'alike'],
    ['air-balance-ear', 'air-balance.out', 'one is louder'],
    ['air-breather-pinch', undefined, 'slows a little'],
    ['air-breather-pinch', 'air-breather.open', 'changes much'],
    ['air-breather-pinch', 'air-breather.blocked', 'no change'],
    ['air-breather-pinch', 'air-servo.open', 'slows a little'],
    ['air-breather-paper', undefined, 'drawn on'],
    ['air-breather-paper', 'air-breather.blocked', 'blown off'],
    ['air-breather-paper', 'air-breather.open', 'drawn on'],
    ['air-purge-pinch', 'air-purge.open', 'it changes'],
    ['air-servo-pinch', 'air-servo.open', 'it changes'],
    ['air-servo-pinch', 'air-hose.off', 'no change'],
    ['air-hoses', 'air-servo.open', 'no change'],
    ['air-vacuum-needle', undefined, 'still'],
    ['air-vacuum-needle', 'air-balance.out', 'sways slowly'],
    ['air-vacuum-needle', 'air-screw.weak', 'sways slowly'],
    ['air-vacuum-needle', 'lead-2.open', 'falls at every beat'],
    ['fuel-squirt', undefined, 'squirts'],
    ['fuel-squirt', 'fuel-accelerator.dead', 'nothing or late'],
    ['fuel-squirt', 'fuel-tank.empty', 'nothing or late'],
  ] as const)('%s with %s: %s', (check, fault, word) => {
    expect(readsLike(twin, check, fault)).toBe(word);
  });
  it('late timing, which lowers the gauge, leaves the needle still; a burnt valve makes it beat', () => {
    expect(readsLike(engine, 'air-vacuum-needle', 'timing-body.late')).toBe('still');
    const squeezing = SQUEEZING['four cylinders, with spark, fuel, timing and air']!;
    expect(readsLike(squeezing, 'air-vacuum-needle', 'compression-exhaust-2.burnt')).toBe('falls at every beat');
  });
  it('the gauges differ by several kilopascals where the throttles do, and by under two where they do not', () => {
    expect(Math.abs(readsLike(twin, 'air-balance-gauge') as number)).toBeLessThan(2e3);
    expect(readsLike(twin, 'air-balance-gauge', 'air-balance.out')).toBeGreaterThan(5e3);
  });
  it('a servo that leaks weakens the idle, as any leak', () => {
    expect(readsLike(twin, 'air-screw-turned', 'air-servo.open')).toBe('better richer');
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

describe('what holds the speed', () => {
  const governed = BREATHING['governed, with a magneto']!;
  it.each([
    ['air-governor-held', undefined, 'does not hunt'],
    ['air-governor-held', 'air-governor.binds', 'steady while held'],
    ['air-governor-look', undefined, 'free and drawn open'],
    ['air-governor-look', 'air-governor.binds', 'binds or has play'],
    ['air-governor-look', 'air-governor.slack-spring', 'spring slack or off'],
  ] as const)('%s with %s: %s', (check, fault, word) => {
    expect(readsLike(governed, check, fault)).toBe(word);
  });
  it('a mixture a little too weak hunts whoever holds the throttle', () => {
    expect(readsLike(governed, 'air-governor-held', 'air-screw.weak', 0.15)).toBe('still hunts');
  });
  it('an engine that its idle screw starves of fuel stands still: it does not creep at a fraction of a turn', () => {
    for (const [fault, severity] of [
      ['fuel-idle-jet.blocked', 0.98],
      ['air-stop.shut', 1],
    ] as const) {
      const rpm = readsLike(governed, 'air-rpm-idle', fault, severity) as number;
      expect(rpm === 0 || rpm > 250).toBe(true);
    }
    expect(readsLike(governed, 'air-rpm-idle', 'fuel-idle-jet.blocked', 0.98)).toBe(0);
  });
});
