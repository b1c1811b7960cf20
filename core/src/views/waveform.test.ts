import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { KINDS } from '../__tests__/kinds.ts';
import { CRANKING } from '../checks/index.ts';
import { Scene } from '../layouts/index.ts';
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
      model.layout,
      drawSound(model, () => 0.5),
    );
    const asked = model.layout.spark(scene, 'plug', CRANKING, 1).requiredVolts;
    expect(peak(secondary.volts) / asked).toBeGreaterThan(0.9);
    expect(peak(secondary.volts) / asked).toBeLessThan(1.6);
  });
  it('are drawn with no more points than can be seen, in the order of time', () => {
    if (!well.ok) throw new Error(well.code);
    for (const { at, volts } of well.waves) {
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
    expect(secondary ? peak(secondary.volts) : 0).toBeLessThan(1500);
  });
});

it('a fault that this machine does not have is a code, not a drawing', () => {
  expect(waveforms(buildModel(machine(), house), 'gearbox.tired')).toEqual({ ok: false, code: 'unknown-fault' });
});
