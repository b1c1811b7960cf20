import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { CRANKING } from '../trails/checks.ts';
import { Scene } from '../machine/scene.ts';
import { triggerPeakVolts } from '../trails/spark/generated.ts';
import type { FitOutOne } from '../schema/upgrade.ts';
import { drawSound } from '../tracing/draw.ts';
import { buildModel } from '../tracing/model.ts';
import { waveforms } from './waveform.ts';

const peak = (volts: readonly number[]) => Math.max(...volts.map(Math.abs));

describe.each(Object.entries(KINDS))('waveforms of %s', (_name, fit) => {
  const model = buildModel(machine(fit), house);
  const well = waveforms(model);
  it('show a spark that strikes at about what the plug asks', () => {
    if (!well.ok) throw new Error(well.code);
    const secondary = well.waves.find((w) => w.id === 'secondary')!;
    const scene = new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    );
    const asked = scene.spark('plug', CRANKING, 1).requiredVolts;
    expect(peak(secondary.values) / asked).toBeGreaterThan(0.9);
    expect(peak(secondary.values) / asked).toBeLessThan(1.6);
  });
  it('are drawn with no more points than can be seen, in the order of time', () => {
    if (!well.ok) throw new Error(well.code);
    for (const { at, values: volts } of well.waves) {
      expect(at.length).toBe(volts.length);
      expect(at.length).toBeLessThan(700);
      expect([...at].sort((a, b) => a - b)).toEqual([...at]);
    }
  });
  it('lose the spark with a coil that is open, or break down with one that leaks', () => {
    const coil = model.faults.find((f) => /^coil(-1)?\.(primary-open|dead)$/.test(f.id))!;
    const dead = waveforms(model, coil.id);
    if (!dead.ok) throw new Error(dead.code);
    const secondary = dead.waves.find((w) => w.id === 'secondary');
    expect(secondary ? peak(secondary.values) : 0).toBeLessThan(1500);
  });
});

it('a fault that this machine does not have is a code, not a drawing', () => {
  expect(waveforms(buildModel(machine(), house), 'gearbox.tired')).toEqual({ ok: false, code: 'unknown-fault' });
});

describe('what told it to fire', () => {
  const trigger = (fit: Partial<FitOutOne>, faultId?: string) => {
    const waves = waveforms(buildModel(machine(fit), house), faultId);
    return waves.ok ? waves.waves.find((w) => w.id === 'trigger') : undefined;
  };
  it.each(['magnetic pick-up and module', 'capacitor discharge, three cylinders'])(
    'swings up and down again, as high as a peak adapter shows: %s',
    (kind) => {
      const fit = KINDS[kind]!;
      const { at, values: volts } = trigger(fit)!;
      const model = buildModel(machine(fit), house);
      const scene = new Scene(
        model.machine,
        drawSound(model, () => 0.5),
      );
      const shown = triggerPeakVolts(scene, CRANKING, 'trg-in');
      expect(Math.max(...volts) / shown).toBeGreaterThan(0.95);
      expect(Math.max(...volts) / shown).toBeLessThan(1.02);
      expect(Math.min(...volts) / shown).toBeLessThan(-0.95);
      // Up before its moment, down after it: it fires as it falls through nothing.
      const [high, low] = [volts.indexOf(Math.max(...volts)), volts.indexOf(Math.min(...volts))];
      expect(at[high]!).toBeLessThan(0);
      expect(at[low]!).toBeGreaterThan(0);
    },
  );
  it('is lost with its connector, and halved with too wide a gap', () => {
    const fit = KINDS['magnetic pick-up and module']!;
    expect(peak(trigger(fit, 'trigger-connector.apart')!.values)).toBeLessThan(0.05 * peak(trigger(fit)!.values));
    expect(peak(trigger(fit, 'trigger.gap')!.values)).toBeLessThan(0.6 * peak(trigger(fit)!.values));
  });
  it('of a sensor steps from one level to the other, and stands still where it is dead', () => {
    const fit = KINDS['Hall sensor and module']!;
    const span = (volts: readonly number[]) => Math.max(...volts) - Math.min(...volts);
    expect(span(trigger(fit)!.values)).toBeGreaterThan(5);
    expect(span(trigger(fit, 'sensor.dead')!.values)).toBeLessThan(0.2);
  });
  it('is not there where points or magnets do it', () => {
    expect(trigger(machine().fitOut)).toBeUndefined();
    expect(trigger(KINDS['flywheel magneto, two cylinders']!)).toBeUndefined();
  });
});
