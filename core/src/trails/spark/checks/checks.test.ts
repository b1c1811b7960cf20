import { describe, expect, it } from 'vitest';
import { INSTRUMENTS } from '../../../instruments/index.ts';
import { Scene } from '../../../machine/scene.ts';
import type { FitOutOne } from '../../../schema/upgrade.ts';
import { passesWith } from '../../../__tests__/alarm.ts';
import { house, machine } from '../../../__tests__/machines.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { withBad } from '../../../__tests__/withBad.ts';
import { buildModel, type Model } from '../../../tracing/model.ts';
import { wordsOf } from '../../../tracing/readTyped.ts';
import { Tracer } from '../../../tracing/trace.ts';
import { OPENING_MINUTES } from '../../../machine/check.ts';

const everything = { ...house, owns: [...house.owns, 'LED lamp' as const, 'capacitance meter' as const] };
const fitOuts: Partial<FitOutOne>[] = [
  {},
  { volts: 6, earth: 'positive', cylinders: 4, ballast: 'none', fused: false },
  { cylinders: 8, ballast: 'bypassed', marine: true },
];

describe.each(fitOuts)('on %j', (change) => {
  const model: Model = buildModel(machine(change), everything);
  const sound = drawSound(model, () => 0.5);
  const scenes = [undefined, ...model.faults].map(
    (f) => new Scene(model.machine, f ? withBad(model, sound, f, 0.6) : sound),
  );

  it('every check has a name of its own and a station of the trail', () => {
    expect(new Set(model.checks.map((c) => c.id)).size).toBe(model.checks.length);
    const stations = new Set(model.machine.stations.map((s) => s.id));
    for (const c of model.checks) expect(stations, c.id).toContain(c.station);
  });
  it('every check says what to set, where to touch and what to watch, in verbs', () => {
    for (const c of model.checks) {
      for (const text of [c.set, c.touch, c.watch]) expect(text, c.id).toMatch(/^\S.*\.$/);
      expect(c.minutes).toBeGreaterThan(0);
      for (const o of c.opens) expect(OPENING_MINUTES[o]).toBeGreaterThan(0);
      expect(c.touch, c.id).not.toMatch(/undefined/);
    }
  });
  it('nothing that makes a spark or turns the engine is without its cautions', () => {
    for (const c of model.checks) {
      if (c.state.key === 'crank') expect(c.cautions, c.id).toContain('rotating parts');
      if (c.instrument === 'spark tester')
        expect(c.cautions, c.id).toEqual(expect.arrayContaining(['high tension', 'fuel vapour']));
      if (c.instrument === 'spark tester' && model.machine.fit.marine) expect(c.cautions, c.id).toContain('marine');
      if (c.state.key === 'run') expect(c.cautions, c.id).toContain('exhaust gas');
    }
  });
  it('every check can be made on the sound machine and on every failed one', () => {
    for (const check of model.checks) {
      const { dimension } = INSTRUMENTS[check.instrument];
      for (const scene of scenes) {
        const outcome = INSTRUMENTS[check.instrument].observe(scene, check);
        if (outcome.kind === 'number') {
          expect(dimension, check.id).toBeDefined();
          expect(Number.isNaN(outcome.value), check.id).toBe(false);
        } else {
          const sum = Object.values(outcome.shares).reduce((a, b) => a + b, 0);
          expect(sum, check.id).toBeCloseTo(1, 6);
          for (const [word, share] of Object.entries(outcome.shares)) {
            expect(share, `${check.id} ${word}`).toBeGreaterThanOrEqual(0);
            if (share > 1e-6) expect(wordsOf(check), check.id).toContain(word);
          }
        }
      }
    }
  });
});

/** What each check is for: a fault that it shows. From the trade, not from the model. */
const SHOWS: readonly [check: string, fault: string][] = [
  ['look-warning-lamp', 'switch.dead'],
  ['look-fuse', 'fuse.blown'],
  ['look-ballast', 'ballast.bypassed'],
  ['look-coil', 'coil.wrong'],
  ['look-leads', 'cap.damp'],
  ['look-clamps', 'live-clamp.corroded'],
  ['battery-rest', 'battery.flat'],
  ['battery-cranking', 'battery.tired'],
  ['clamp-drop', 'live-clamp.corroded'],
  ['strap-drop', 'strap.corroded'],
  ['feed-volts', 'feed.broken'],
  ['fuse-volts', 'fuse.blown'],
  ['fuse-volts', 'fuse.holder'],
  ['switch-volts', 'switch.dead'],
  ['feed-to-earth', 'coil-feed.chafed'],
  ['ballast-volts', 'coil-feed.broken'],
  ['ballast-ohms', 'ballast.open'],
  ['ballast-ohms', 'ballast.bypassed'],
  ['coil-feed-closed', 'ballast.open'],
  ['coil-feed-open', 'switch.dead'],
  ['coil-feed-cranking', 'coil-feed.broken'],
  ['coil-minus-open', 'coil.primary-open'],
  ['coil-minus-open', 'points.closed-up'],
  ['coil-minus-open', 'condenser.shorted'],
  ['coil-primary', 'coil.primary-open'],
  ['coil-primary', 'coil.wrong'],
  ['coil-secondary', 'coil.secondary-open'],
  ['coil-minus-closed', 'points.burnt'],
  ['coil-minus-closed', 'body.poor'],
  ['lamp-cranking', 'points.closed-up'],
  ['lamp-cranking', 'points.parted'],
  ['led-cranking', 'points.closed-up'],
  ['points-line-to-earth', 'coil-minus.chafed'],
  ['points-line-to-earth', 'condenser.shorted'],
  ['points-terminal-open', 'coil-minus.broken'],
  ['points-wire', 'coil-minus.broken'],
  ['points-gap', 'points.closed-up'],
  ['points-gap', 'points.parted'],
  ['look-points', 'points.burnt'],
  ['points-drop', 'points.burnt'],
  ['points-insulation', 'points.earthed'],
  ['condenser-insulation', 'condenser.leaky'],
  ['condenser-capacitance', 'condenser.open'],
  ['watch-points', 'condenser.open'],
  ['body-drop', 'body.poor'],
  ['spark-coil-lead', 'coil.insulation'],
  ['spark-coil-lead', 'condenser.open'],
  ['spark-known-lead', 'coil.insulation'],
  ['spark-polarity', 'coil.reversed'],
  ['coil-lead-ohms', 'coil-lead.open'],
  ['look-cap', 'cap.tracked'],
  ['look-cap', 'cap.brush'],
  ['rotor-jump', 'rotor.punched'],
  ['look-rotor', 'rotor.worn'],
  ['spark-plug-lead', 'rotor.punched'],
  ['spark-every', 'lead-2.open'],
  ['cylinder-drop', 'plug-4.fouled'],
  ['lead-2-ohms', 'lead-2.open'],
  ['plug-4-ohms', 'plug-4.fouled'],
  ['plug-1-ohms', 'plugs.fouled'],
  ['look-plugs', 'plugs.fouled'],
  ['plug-1-gap', 'plug-1.wide'],
  ['plug-1-gap', 'plugs.wide'],
  ['plug-through', 'plugs.resistive'],
  ['supply-gone', 'switch.stays-on'],
];
/** And a fault elsewhere that it must not be alarmed by. */
const BLIND: readonly [check: string, fault: string][] = [
  ['battery-rest', 'points.burnt'],
  ['coil-primary', 'ballast.open'],
  ['points-drop', 'cap.tracked'],
  ['spark-coil-lead', 'rotor.punched'],
  ['spark-coil-lead', 'plugs.fouled'],
  ['spark-known-condenser', 'condenser.open'],
  ['spark-known-lead', 'coil-lead.open'],
  ['coil-feed-open', 'points.burnt'],
  ['lead-1-ohms', 'lead-2.open'],
  ['condenser-insulation', 'points.earthed'],
  ['points-insulation', 'condenser.shorted'],
  ['points-wire', 'points.burnt'],
  ['plug-3-ohms', 'plug-4.fouled'],
  ['plug-through', 'plugs.fouled'],
  ['supply-gone', 'switch.worn'],
];

describe('what a check is for', () => {
  const tracer = new Tracer(machine(), everything);
  it.each(SHOWS)('%s shows %s', (check, fault) => {
    expect(passesWith(tracer, check, fault)).toBe(false);
  });
  it.each(BLIND)('%s is not alarmed by %s', (check, fault) => {
    expect(passesWith(tracer, check, fault)).toBe(true);
  });
});
