import { describe } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { OL, readsAsInTheTrade, type TradeRow } from '../../../__tests__/tradeTable.ts';

const of = (kind: string, rows: readonly TradeRow[]) => describe(kind, () => readsAsInTheTrade(CHARGED[kind]!, rows));
const OPEN = [OL, Infinity] as const;
const CHARGES = [13.4, 14.9] as const;
const STARVED = [10, 13] as const;

of('alternator with a lamp', [
  ['charge-belt', undefined, 'firm'],
  ['charge-belt', 'belt.slack', 'slack'],
  ['charge-belt', 'belt.gone', 'gone'],
  ['charge-lamp-on', undefined, 'lit'],
  ['charge-lamp-on', 'charge-lamp.blown', 'out'],
  ['charge-lamp-run', undefined, 'out'],
  ['charge-lamp-run', 'belt.gone', 'lit'],
  ['charge-fast', undefined, CHARGES],
  ['charge-fast', 'belt.gone', STARVED],
  ['charge-fast', 'charge-regulator.high', [15, 22]],
  ['charge-fast', 'charge-regulator.dead', STARVED],
  ['charge-fast', 'charger.field-open', STARVED],
  ['charge-loaded', undefined, [13, 14.9]],
  ['charge-drop', undefined, [0, 0.4]],
  ['charge-drop', 'charge-wire.corroded', [0.4, 20]],
  ['charge-amps', undefined, [1, 80]],
  ['charge-amps', 'belt.gone', [-60, 0.3]],
  ['charge-takes', 'battery.sulphated', [-1, 3]],
  ['charge-drain', undefined, [0, 0.06]],
  ['charge-drain', 'standing.drain', [0.2, 10]],
  ['charge-bulb', undefined, 'whole'],
  ['charge-bulb', 'charge-lamp.blown', 'blown'],
  ['charge-bulb', 'charge-lamp.swapped', 'no filament'],
  ['charge-lamp-earthed', 'charge-lamp.wire', 'stays out'],
  ['charge-ripple', undefined, [0, 0.5]],
  ['charge-ripple', 'charger.diode-open', [0.25, 5]],
  ['charge-field-ohms', undefined, [2, 8]],
  ['charge-field-ohms', 'charger.field-open', OPEN],
  ['charge-opened', undefined, 'sound'],
  ['charge-opened', 'charger.diode-open', 'diodes or a phase'],
  ['charge-opened', 'charger.brushes', 'brushes worn'],
  ['charge-wire-look', undefined, 'sound'],
]);

of('alternator, regulator apart, ammeter', [
  ['charge-ammeter-fast', undefined, 'charges'],
  ['charge-ammeter-loaded', 'belt.gone', 'discharges'],
  ['charge-regulator-earth', undefined, [0, 0.15]],
  ['charge-regulator-earth', 'regulator-earth.poor', [0.15, 12]],
  ['charge-full-field', 'charge-regulator.dead', 'rise'],
  ['charge-full-field', 'charger.field-open', 'no change'],
]);

// Six volts: about 7.2 at the battery.
of('generator, six volts, positive earth', [
  ['charge-fast', undefined, [6.7, 7.8]],
  ['charge-fast', 'charger.no-residual', [5, 6.6]],
  ['charge-residual', undefined, [0.3, 4]],
  ['charge-residual', 'charger.no-residual', [-0.1, 0.3]],
  ['charge-cut-out', undefined, 'as it should'],
  ['charge-cut-out', 'cut-out.open', 'never closes'],
  ['charge-cut-out', 'cut-out.welded', 'never opens'],
  // An A field: earthed at its far end it gives all it can.
  ['charge-fast', 'field-wire.broken', [5, 6.6]],
  ['charge-fast', 'field-wire.earthed', [7.9, 20]],
  ['charge-fast', 'regulator-earth.off', [5, 6.6]],
  ['charge-field-volts', undefined, [1.5, 7]],
  ['charge-field-volts', 'field-wire.earthed', [0, 0.3]],
  ['charge-field-wire-ohms', undefined, [0, 0.5]],
  ['charge-field-wire-ohms', 'field-wire.broken', OPEN],
  ['charge-field-wire-earth', undefined, OPEN],
  ['charge-field-wire-earth', 'field-wire.earthed', [0, 1]],
  ['charge-field-wire-look', 'field-wire.broken', 'an end bad'],
  ['charge-field-wire-look', 'field-wire.earthed', 'rubbed through'],
  ['charge-full-field', 'field-wire.broken', 'rise'],
  ['charge-full-field-box', 'field-wire.broken', 'no change'],
  ['charge-full-field-box', 'charge-regulator.dead', 'rise'],
  ['charge-full-field-box', 'charger.field-open', 'no change'],
]);

// The same faults the other way round: a B field is fed from the armature, its far end earthed inside.
of('generator, twelve volts, without a lamp', [
  ['charge-fast', undefined, CHARGES],
  ['charge-fast', 'field-wire.earthed', STARVED],
  ['charge-fast', 'field-wire.broken', STARVED],
  ['charge-fast', 'regulator-earth.off', [15.5, 40]],
  ['charge-fast', 'regulator-earth.poor', [15, 22]],
  ['charge-regulator-earth', undefined, [0, 0.15]],
  ['charge-regulator-earth', 'regulator-earth.poor', [0.5, 5]],
  ['charge-field-volts', undefined, [0.3, 6]],
  ['charge-field-volts', 'field-wire.broken', [0, 0.2]],
  ['charge-field-volts', 'regulator-earth.off', [14, 40]],
  ['charge-full-field', 'field-wire.earthed', 'rise'],
  ['charge-full-field-box', 'field-wire.earthed', 'no change'],
]);

of('three phases under a flywheel', [
  ['charge-leg-volts-1-2', undefined, [15, 120]],
  ['charge-leg-volts-fast-1-2', undefined, [50, 400]],
  ['charge-leg-volts-fast-1-2', 'charger.open', [0, 1]],
  ['charge-rectifier-look', undefined, 'sound'],
  ['charge-leg-ohms-1-2', undefined, [0.1, 2]],
  ['charge-core-ohms', undefined, OPEN],
  ['charge-core-ohms', 'charger.earthed', [0, 100]],
  ['charge-magnets', undefined, 'pull hard'],
  ['charge-magnets', 'charger.weak', 'weak or loose'],
  ['charge-fast', undefined, CHARGES],
  ['charge-fast', 'charge-regulator.dead', STARVED],
]);

of('a lighting coil', [
  ['charge-lamps-look', undefined, 'whole'],
  ['charge-lamps-look', 'lamps.blown', 'blown'],
]);
