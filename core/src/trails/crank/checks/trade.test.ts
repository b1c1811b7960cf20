import { describe } from 'vitest';
import { CRANKED } from '../../../__tests__/crankMachines.ts';
import { OL, readsAsInTheTrade, type TradeRow } from '../../../__tests__/tradeTable.ts';

const of = (kind: string, rows: readonly TradeRow[]) => describe(kind, () => readsAsInTheTrade(CRANKED[kind]!, rows));
const OPEN = [OL, Infinity] as const;
const NOTHING = [-0.05, 0.3] as const;

of('relay and an interlock, with breaker points', [
  ['crank-listen', undefined, 'turns well'],
  ['crank-listen', 'battery.flat', 'turns slowly'],
  ['crank-listen', 'start-switch.dead', 'nothing'],
  ['crank-listen', 'interlock-1.open', 'nothing'],
  ['crank-listen', 'starter-solenoid.burnt', 'clicks once'],
  ['crank-listen', 'starter-drive.slips', 'spins free'],
  ['crank-listen', 'starter-solenoid.hold-open', 'chatters'],
  ['crank-listen', 'engine.locked', 'clicks once'],
  ['crank-listen', 'starter-drive.jammed', 'clicks once'],
  ['crank-pinion', undefined, 'nothing lets go'],
  ['crank-pinion', 'starter-drive.jammed', 'it lets go'],
  ['crank-pinion', 'engine.locked', 'nothing lets go'],
  ['crank-by-hand', 'starter-drive.jammed', 'stops dead'],
  ['crank-listen', 'starter-solenoid.welded', 'turns well'],
  ['crank-let-go', undefined, 'stops'],
  ['crank-let-go', 'starter-solenoid.welded', 'turns on'],
  ['crank-let-go', 'start-relay.welded', 'turns on'],
  ['crank-let-go', 'start-switch.stuck', 'turns on'],
  ['crank-small-wire-off', 'starter-solenoid.welded', 'turns on'],
  ['crank-small-wire-off', 'start-relay.welded', 'stops'],
  ['crank-relay-let-go', 'start-relay.welded', 'turns on'],
  ['crank-relay-let-go', 'start-switch.stuck', 'stops'],
  ['crank-contacts-rest', undefined, OPEN],
  ['crank-contacts-rest', 'starter-solenoid.welded', [0, 0.5]],
  ['crank-contacts-rest', 'start-relay.welded', OPEN],
  ['crank-relay-rest', undefined, OPEN],
  ['crank-relay-rest', 'start-relay.welded', [0, 0.5]],
  ['crank-switch-rest', undefined, OPEN],
  ['crank-switch-rest', 'start-switch.stuck', [0, 0.5]],
  ['crank-switch-rest', 'start-switch.dead', OPEN],
  ['crank-lamps', undefined, 'stay bright'],
  ['crank-lamps', 'start-switch.dead', 'stay bright'],
  ['crank-lamps', 'engine.locked', 'go dim'],
  ['crank-hot-joints', undefined, 'none hot'],
  ['crank-hot-joints', 'live-clamp.corroded', 'clamp hot'],
  ['crank-cable-drop', undefined, [0, 0.5]],
  ['crank-cable-drop', 'starter-cable.corroded', [0.5, 11]],
  ['crank-contacts-drop', undefined, [0, 0.4]],
  ['crank-contacts-drop', 'starter-solenoid.burnt', [0.5, 13]],
  ['crank-motor-volts', undefined, [8.5, 12]],
  ['crank-motor-volts', 'start-switch.dead', NOTHING],
  ['crank-small-terminal', undefined, [8, 12.5]],
  ['crank-small-terminal', 'start-relay.contact', [-0.05, 3]],
  ['crank-small-terminal', 'start-wire.broken', NOTHING],
  ['crank-switch-out', undefined, [8, 12.8]],
  ['crank-switch-out', 'start-switch.dead', NOTHING],
  // Read across it: nothing while it is shut, the battery's volts while it is open.
  ['crank-interlock-1', undefined, [0, 0.3]],
  ['crank-interlock-1', 'interlock-1.open', [8, 13]],
  ['crank-relay-drop', 'start-relay.contact', [8, 13]],
  ['crank-amps', undefined, [60, 300]],
  ['crank-amps', 'starter-solenoid.burnt', [-1, 120]],
  ['crank-rpm', undefined, [120, 400]],
  ['crank-rpm', 'start-switch.dead', [0, 5]],
  ['crank-rpm', 'starter-motor.shorted', [0, 140]],
  ['crank-pull-ohms', 'starter-solenoid.pull-open', OPEN],
  ['crank-hold-ohms', 'starter-solenoid.hold-open', OPEN],
  ['crank-by-hand', undefined, 'as usual'],
  ['crank-by-hand', 'engine.locked', 'stops dead'],
  ['crank-by-hand', 'engine.stiff', 'stiff all round'],
  ['crank-starter-out', undefined, 'sound'],
  ['crank-starter-out', 'starter-motor.brushes', 'brushes worn'],
  ['crank-starter-out', 'starter-drive.slips', 'drive slips'],
  ['crank-starter-out', 'starter-drive.teeth', 'teeth gone'],
  ['crank-jump', 'start-switch.dead', 'turns well'],
  ['crank-jump', 'starter-solenoid.burnt', 'clicks once'],
  ['battery-rest', undefined, [12.2, 12.9]],
]);

// Six volts: half of everything but the amperes.
of('its own solenoid, six volts, positive earth', [
  ['crank-listen', undefined, 'turns well'],
  ['crank-motor-volts', undefined, [3.8, 6.2]],
  ['crank-amps', undefined, [80, 600]],
  ['crank-cable-drop', 'starter-cable.corroded', [0.2, 6]],
]);

of('an intake heater on a shared feed', [
  ['crank-feed-drop', undefined, [0, 0.6]],
  ['crank-feed-drop', 'shared-feed.corroded', [0.8, 12]],
  ['crank-listen', 'shared-feed.broken', 'nothing'],
]);

// Four plugs: about ten amperes each by the trade's rule of thumb, half of that at twenty-four volts.
of('glow plugs on a shared feed, twenty-four volts', [
  ['heat-volts', undefined, [21, 25.4]],
  ['heat-volts', 'preheat-feed.dead', NOTHING],
  ['heat-volts', 'preheating.dead', [23, 26]],
  ['heat-amps', undefined, [14, 26]],
  ['heat-amps', 'preheating.dead', [-1, 2]],
  ['heat-amps', 'preheating.some', [3, 20]],
  ['heat-amps', 'preheat-feed.dead', [-1, 1]],
  ['heat-each', undefined, 'all light'],
  ['heat-each', 'preheating.some', 'some dark'],
  ['heat-each', 'preheating.dead', 'all dark'],
  ['heat-each', 'preheat-feed.dead', 'all light'],
  ['warm-up', undefined, 'even throughout'],
  ['warm-up', 'preheating.some', 'stumbles until warm'],
]);

of('an intake heater on a shared feed', [
  ['heat-amps', undefined, [45, 85]],
  ['heat-amps', 'shared-feed.corroded', [15, 75]],
]);

of('a cord, with a flywheel magneto', [
  ['crank-listen', undefined, 'turns well'],
  ['crank-listen', 'hand-start.broken', 'nothing to pull with'],
  ['crank-listen', 'hand-start.pawls', 'spins free'],
  ['crank-listen', 'engine.locked', 'cannot be pulled through'],
  ['crank-cord', undefined, 'sound'],
  ['crank-cord', 'hand-start.broken', 'cord or spring gone'],
  ['crank-cord', 'hand-start.pawls', 'pawls do not catch'],
]);

of('a master switch and a decompressor, a diesel', [
  ['isolator-look', undefined, 'on'],
  ['isolator-look', 'isolator.off', 'was off'],
  ['isolator-look', 'isolator.burnt', 'on'],
  ['crank-listen', 'isolator.off', 'nothing'],
  ['isolator-drop', undefined, [0, 0.15]],
  ['isolator-drop', 'isolator.burnt', [0.5, 12]],
  ['clamp-drop', 'isolator.burnt', [0, 0.3]],
  ['clamp-drop', 'live-clamp.corroded', [0.3, 12]],
  // Half its cold amperes for ten seconds: a good one stays above nine and a half volts of twelve.
  ['battery-load', undefined, [9.5, 12]],
  ['battery-load', 'battery.tired', [0, 9.5]],
  ['battery-load', 'starter-cable.corroded', [9.5, 12]],
  ['crank-decompressor', undefined, 'lifts and lets go'],
  ['crank-decompressor', 'decompressor.stays', 'stays open'],
  ['crank-decompressor', 'decompressor.dead', 'does not lift'],
]);
of('a kick lever and a decompressor', [
  ['crank-decompressor', undefined, 'lifts and lets go'],
  ['crank-decompressor', 'decompressor.stays', 'stays open'],
  ['crank-decompressor', 'decompressor.dead', 'does not lift'],
]);
