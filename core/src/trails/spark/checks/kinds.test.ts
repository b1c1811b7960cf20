import { describe, expect, it } from 'vitest';
import { passesWith } from '../../../__tests__/alarm.ts';
import { house, machine } from '../../../__tests__/machines.ts';
import { INSTRUMENTS } from '../../../instruments/index.ts';
import type { Scene } from '../../../machine/scene.ts';
import type { FitOutOne } from '../../../schema/upgrade.ts';
import { Tracer } from '../../../tracing/trace.ts';
import { OPENING_MINUTES, type Check } from '../../checks.ts';

type Table = readonly [check: string, fault: string][];
interface Kind {
  fit: Partial<FitOutOne>;
  /** A check, and a fault that it must be alarmed by. */
  shows: Table;
  /** And one elsewhere that must leave it calm. */
  blind: Table;
}

const KINDS: Readonly<Record<string, Kind>> = {
  'capacitor discharge': {
    fit: { layout: 'capacitor-discharge', cylinders: 3, compressionRatio: 7 },
    shows: [
      ['look-stop', 'stop-switch.stuck'],
      ['stop-line-1', 'stop-wire-1.chafed'],
      ['stop-line-1', 'stop-switch.stuck'],
      ['stop-switch', 'stop-switch.stuck'],
      ['charge-coil-ohms', 'charge-coil.open'],
      ['charge-coil-ohms', 'charge-coil.turns'],
      ['charge-coil-ohms', 'charge-coil.earthed'],
      ['charge-peak-open', 'charge-coil.breaks-down'],
      ['charge-peak-open', 'flywheel.weak'],
      ['charge-peak-loaded', 'stop-wire-1.chafed'],
      ['charge-peak-loaded', 'connector.apart'],
      ['connector-ohms', 'connector.dirty'],
      ['look-connectors', 'trigger-connector.apart'],
      ['trigger-ohms', 'trigger.shorted'],
      ['trigger-peak-open', 'trigger.gap'],
      ['trigger-peak-pack', 'trigger-connector.dirty'],
      ['trigger-gap', 'trigger.gap'],
      ['pack-output-1', 'pack.dead'],
      ['pack-output-2', 'pack.channel-2'],
      ['pack-output-1', 'trigger.open'],
      ['pack-earth-ohms', 'pack-earth.poor'],
      ['coil-wire-2-ohms', 'coil-wire-2.broken'],
      ['coil-wire-2-ohms', 'coil-2.primary-open'],
      ['coil-2-primary', 'coil-2.primary-open'],
      ['coil-3-secondary', 'coil-3.secondary-open'],
      ['timing-marks', 'flywheel.sheared'],
      ['flywheel-key', 'flywheel.sheared'],
      ['magnets', 'flywheel.weak'],
      ['leads-in-the-dark', 'lead-2.leaking'],
      ['spark-every', 'coil-2.insulation'],
      ['spark-known-coil-1', 'pack.dead'],
    ],
    blind: [
      ['charge-coil-ohms', 'charge-coil.breaks-down'],
      ['charge-coil-ohms', 'stop-wire-1.chafed'],
      ['charge-peak-open', 'stop-wire-1.chafed'],
      ['charge-peak-open', 'pack.leaky'],
      ['charge-peak-stop-off', 'stop-switch.stuck'],
      ['trigger-ohms', 'trigger.gap'],
      ['trigger-ohms-connected', 'trigger.gap'],
      ['trigger-peak-open', 'trigger-connector.apart'],
      ['pack-output-1', 'pack.channel-2'],
      ['pack-output-1', 'coil-1.primary-open'],
      ['coil-2-primary', 'coil-wire-2.broken'],
      ['coil-2-primary', 'coil-2.insulation'],
      ['stop-switch', 'stop-wire-1.chafed'],
      ['spark-stop-off', 'stop-switch.stuck'],
      ['spark-every', 'flywheel.sheared'],
      ['spark-known-coil-2', 'coil-2.insulation'],
      ['spark-known-lead-3', 'lead-3.open'],
    ],
  },
  'flywheel magneto': {
    fit: { layout: 'flywheel-magneto', cylinders: 2, compressionRatio: 7 },
    shows: [
      ['points-2-gap', 'points-2.closed-up'],
      ['look-points-1', 'points-1.burnt'],
      ['points-1-closed', 'points-1.burnt'],
      ['points-1-open', 'points-1.earthed'],
      ['condenser-2-insulation', 'condenser-2.leaky'],
      ['condenser-1-capacitance', 'condenser-1.open'],
      ['coil-1-air-gap', 'coil-1.gap'],
      ['coil-1-primary', 'coil-1.primary-open'],
      ['stop-line-2', 'stop-wire-2.chafed'],
      ['stop-line-2-stops', 'stop-wire-2.broken'],
      ['stop-line-1-stops', 'stop-switch.dead'],
      ['stop-switch-stops', 'stop-switch.dead'],
      ['look-stop', 'stop-wire-1.broken'],
      ['spark-every', 'points-2.parted'],
      ['cylinder-drop', 'coil-1.insulation'],
    ],
    blind: [
      ['points-1-closed', 'condenser-1.shorted'],
      ['points-1-open', 'stop-wire-1.chafed'],
      ['condenser-1-insulation', 'points-1.earthed'],
      ['stop-line-1', 'stop-wire-2.chafed'],
      ['stop-line-1-stops', 'stop-wire-2.broken'],
      ['stop-switch-stops', 'stop-wire-1.broken'],
      ['stop-line-1', 'stop-wire-1.broken'],
      ['coil-1-primary', 'points-1.earthed'],
      ['spark-known-condenser-1', 'condenser-1.open'],
    ],
  },
  'high-tension magneto': {
    fit: { layout: 'rotating-magneto', cylinders: 4, compressionRatio: 5 },
    shows: [
      ['impulse-snap', 'impulse.stuck'],
      ['magnet-pull', 'magnet-rotor.weak'],
      ['timing-marks', 'drive.slipped'],
      ['spark-every', 'impulse.stuck'],
      ['look-cap', 'cap.tracked'],
      ['look-rotor', 'rotor.worn'],
      ['points-1-closed', 'points-1.burnt'],
    ],
    blind: [
      ['impulse-snap', 'magnet-rotor.weak'],
      ['spark-every', 'drive.slipped'],
      ['points-1-gap', 'points-1.burnt'],
    ],
  },
  'magnetic pick-up': {
    fit: { layout: 'electronic', cylinders: 4, ballast: 'none', module: 'commanded' },
    shows: [
      ['module-feed-on', 'module-feed.broken'],
      ['module-feed-cranking', 'switch.worn'],
      ['module-terminal', 'coil-minus.broken'],
      ['module-earth-drop', 'module-earth.poor'],
      ['module-earth-ohms', 'module-earth.poor'],
      ['trigger-ohms', 'trigger.open'],
      ['trigger-ohms-connected', 'trigger.open'],
      ['trigger-ohms-connected', 'trigger-connector.apart'],
      ['supply-gone', 'switch.stays-on'],
      ['trigger-peak-module', 'trigger-connector.apart'],
      ['pickup-gap', 'trigger.gap'],
      ['check-lamp', 'trigger.open'],
      ['command-signal', 'computer.dead'],
      ['module-prod', 'module.dead'],
      ['spark-known-module', 'trigger.open'],
      ['lamp-cranking', 'module.dead'],
      ['coil-minus-open', 'module.stuck'],
    ],
    blind: [
      ['module-prod', 'trigger.open'],
      ['module-prod', 'computer.dead'],
      ['spark-known-module', 'module.dead'],
      ['trigger-ohms', 'trigger.gap'],
      ['trigger-ohms-connected', 'trigger.gap'],
      ['trigger-peak-open', 'trigger-connector.apart'],
      ['command-signal', 'module.dead'],
      ['module-earth-ohms', 'module.dead'],
    ],
  },
  'Hall sensor': {
    fit: { layout: 'electronic', cylinders: 4, ballast: 'none', trigger: 'hall' },
    shows: [
      ['sensor-feed', 'sensor-feed.broken'],
      ['signal-sensor', 'sensor.dead'],
      ['signal-sensor', 'sensor.shorted'],
      ['signal-module', 'sensor-signal.broken'],
      ['signal-wire', 'sensor-signal.broken'],
      ['signal-wire-earth', 'sensor-signal.chafed'],
      ['look-sensor', 'sensor.dirty'],
    ],
    blind: [
      ['sensor-feed', 'sensor.dead'],
      ['signal-wire', 'sensor-signal.chafed'],
      ['look-sensor', 'sensor.dead'],
      ['signal-module', 'module.dead'],
    ],
  },
  'a coil on each plug': {
    fit: { layout: 'coil-on-plug', cylinders: 4, ballast: 'none', compressionRatio: 9 },
    shows: [
      ['scan-counts', 'coil-3.dead'],
      ['scan-counts', 'plug-2.wide'],
      ['scan-rpm', 'trigger.open'],
      ['command-2-signal', 'command-2.broken'],
      ['command-1-signal', 'computer.dead'],
      ['spark-known-coil-4', 'command-4.broken'],
    ],
    blind: [
      ['scan-rpm', 'coil-1.dead'],
      ['command-1-signal', 'command-2.broken'],
      ['spark-known-coil-3', 'coil-3.dead'],
    ],
  },
  'battery-fed discharge': {
    fit: { layout: 'battery-discharge', cylinders: 2, ballast: 'none' },
    shows: [
      ['pack-feed', 'pack-earth.poor'],
      ['pack-feed', 'coil-feed.corroded'],
      ['pack-output-1', 'pack.weak'],
      ['feed-to-earth', 'coil-feed.chafed'],
      ['coil-feed-drop', 'coil-feed.corroded'],
    ],
    blind: [
      ['pack-feed', 'pack.dead'],
      ['trigger-ohms', 'pack.dead'],
      ['pack-output-1', 'coil-1.insulation'],
    ],
  },
  'points without a distributor': {
    fit: { layout: 'points-coils', cylinders: 2, ballast: 'none', coils: 'one each' },
    shows: [
      ['points-2-gap', 'points-2.closed-up'],
      ['coil-minus-1-drop', 'coil-minus-1.corroded'],
      ['coil-1-primary', 'coil-1.primary-open'],
      ['condenser-2-capacitance', 'condenser-2.open'],
      ['fuse-drop', 'fuse.holder'],
      ['switch-drop', 'switch.worn'],
    ],
    blind: [
      ['coil-minus-2-drop', 'coil-minus-1.corroded'],
      ['coil-2-primary', 'points-2.burnt'],
      ['points-2-closed', 'points-1.burnt'],
    ],
  },
};

describe.each(Object.entries(KINDS))('%s', (_name, { fit, shows, blind }) => {
  const tracer = new Tracer(machine(fit), {
    ...house,
    owns: [...house.owns, 'LED lamp', 'capacitance meter', 'scan reader'],
  });
  it.each(shows)('%s shows %s', (check, fault) => {
    expect(passesWith(tracer, check, fault)).toBe(false);
  });
  it.each(blind)('%s is not alarmed by %s', (check, fault) => {
    expect(passesWith(tracer, check, fault)).toBe(true);
  });
  it('says of every check what to set, where to touch, what to watch, in whole sentences', () => {
    for (const check of tracer.model.checks) {
      for (const words of [check.set, check.touch, check.watch]) expect(words, check.id).toMatch(/^\S.*\.$/s);
      expect(check.label, check.id).toMatch(/^[A-Z]/);
      expect(check.minutes).toBeGreaterThan(0);
      for (const opening of check.opens) expect(OPENING_MINUTES[opening]).toBeGreaterThan(0);
    }
    expect(new Set(tracer.model.checks.map((c) => c.id)).size).toBe(tracer.model.checks.length);
  });
  it('cautions of high voltage stand wherever a spark or a store is met', () => {
    for (const check of tracer.model.checks) {
      if (check.instrument === 'spark tester') expect(check.cautions, check.id).toContain('high tension');
      if (/^(charge-peak|pack-output)/.test(check.id)) expect(check.cautions, check.id).toContain('capacitor charge');
      if (check.opens.includes('flywheel off')) expect(check.cautions.join(), check.id).toMatch(/flywheel puller|^$/);
    }
  });
});

it('with its connector left on a trigger reads in parallel with what listens', () => {
  const tracer = new Tracer(machine({ layout: 'electronic', cylinders: 4, ballast: 'none' }), house);
  const [alone, beside] = ['trigger-ohms', 'trigger-ohms-connected'].map((id) => tracer.weigher.check(id)!);
  const [sound, open] = [[], [tracer.model.faults.find((f) => f.id === 'trigger.open')!]].map((faults) =>
    tracer.weigher.ensemble(faults).scene(0),
  );
  const shown = (scene: Scene, check: Check) => {
    const outcome = INSTRUMENTS.ohmmeter.observe(scene, check);
    return outcome.kind === 'number' ? outcome.value : NaN;
  };
  const coil = sound!.params['trigger']!['ohms']!;
  // The module's input is 12 kΩ; the connector's tenths of an ohm are in neither figure.
  expect(shown(sound!, alone!) / coil).toBeCloseTo(1, 2);
  expect(shown(sound!, beside!) / (1 / (1 / coil + 1 / 12e3))).toBeCloseTo(1, 2);
  // Open, the coil leaves the module's input to be read: no OL.
  expect(shown(open!, alone!)).toBeGreaterThan(INSTRUMENTS.ohmmeter.limit!);
  expect(shown(open!, beside!) / 12e3).toBeCloseTo(1, 2);
});
