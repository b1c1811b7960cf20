import { describe, expect, it } from 'vitest';
import { readsLike } from '../../../__tests__/readsLike.ts';
import { STOPPED } from '../../../__tests__/stoppedMachines.ts';

const vacuum = STOPPED['vacuum']!;
const toRun = STOPPED['cut-to-run']!;
const toStop = STOPPED['cut-to-stop']!;
const cable = STOPPED['cable']!;

/** What a mechanic would see on such a diesel, sound and with its faults: from the trade, not from the model. */
describe('by eye, ear and hand', () => {
  it.each([
    [vacuum, 'stop-lever', undefined, 'free, back at run'],
    [vacuum, 'stop-lever', 'stop-rack.open', 'stays at run'],
    [vacuum, 'stop-lever', 'stop-rack.shut', 'stays at stop'],
    [vacuum, 'stop-where', undefined, 'at run'],
    [vacuum, 'stop-where', 'stop-valve.open', 'at stop'],
    [vacuum, 'stop-where', 'stop-actuator.leaks', 'at run'],
    [vacuum, 'stop-actuator-holds', undefined, 'holds a minute'],
    [vacuum, 'stop-actuator-holds', 'stop-actuator.leaks', 'cannot be drawn'],
    [vacuum, 'stop-actuator-holds', 'stop-line.leaks', 'holds a minute'],
    [vacuum, 'stop-line-holds', 'stop-line.leaks', 'cannot be drawn'],
    [vacuum, 'stop-line-holds', 'stop-actuator.leaks', 'holds a minute'],
    [toRun, 'stop-click', undefined, 'clicks'],
    [toRun, 'stop-click', 'stop-solenoid.coil', 'silent'],
    [toRun, 'stop-click', 'stop-solenoid.stuck', 'silent'],
    [toRun, 'stop-click', 'stop-feed.open', 'silent'],
    [toRun, 'stop-feed-lamp', undefined, 'bright'],
    [toRun, 'stop-feed-lamp', 'stop-feed.open', 'dark'],
    [toRun, 'stop-feed-lamp', 'stop-solenoid.coil', 'bright'],
    [toRun, 'stop-feed-back', undefined, 'dark'],
    [toRun, 'stop-feed-back', 'stop-feed.fed-back', 'stays lit'],
    [toRun, 'stop-where', 'stop-feed.open', 'at stop'],
    [toStop, 'stop-where', 'stop-feed.open', 'at run'],
    [cable, 'stop-cable-look', undefined, 'follows both ways'],
    [cable, 'stop-cable-look', 'stop-cable.broken', 'does not pull'],
    [cable, 'stop-cable-look', 'stop-cable.seized', 'does not come back'],
  ] as const)('%#: %j reads as it should', (machine, check, fault, word) => {
    expect(readsLike(machine, check, fault), `${check} with ${fault ?? 'nothing wrong'}`).toBe(word);
  });
});

describe('the gauge along the line', () => {
  const kPa = (check: string, fault?: string) => (readsLike(vacuum, check, fault) as number) / 1e3;
  const ALONG = ['stop-at-source', 'stop-at-check', 'stop-at-valve', 'stop-at-actuator'] as const;
  it('the same from the source to the actuator when well, and nothing with the key at run', () => {
    for (const check of ALONG) {
      expect(kPa(check), check).toBeLessThan(-68);
      expect(kPa(check), check).toBeGreaterThan(-90);
    }
    expect(Math.abs(kPa('stop-vents'))).toBeLessThan(1);
  });
  it.each([
    ['stop-source.weak', 0],
    ['stop-check.leaks', 1],
    ['stop-valve.shut', 2],
    ['stop-line.leaks', 3],
    ['stop-actuator.leaks', 3],
  ] as const)('%s: it falls at station %i, and is well before it', (fault, from) => {
    ALONG.forEach((check, k) => {
      if (k < from) expect(kPa(check, fault), check).toBeLessThan(-65);
      else expect(kPa(check, fault), check).toBeGreaterThan(-45);
    });
  });
  it('a valve that does not vent keeps its vacuum with the key at run', () => {
    expect(kPa('stop-vents', 'stop-valve.open')).toBeLessThan(-40);
  });
});

it('a coil that is open reads OL, a whole one some ohms', () => {
  expect(readsLike(toRun, 'stop-coil-ohms')).toBeCloseTo(6, 6);
  expect(readsLike(toRun, 'stop-coil-ohms', 'stop-solenoid.coil')).toBeGreaterThan(1e9);
});
