import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../__tests__/chargeMachines.ts';
import { house, machine } from '../../__tests__/machines.ts';
import { Scene } from '../../machine/scene.ts';
import type { MachineBody } from '../../schema/machine.ts';
import { drawSound } from '../../tracing/draw.ts';
import { withBad } from '../../__tests__/withBad.ts';
import { buildModel } from '../../tracing/model.ts';
import { willNotStop } from './stopped.ts';

function chance(body: MachineBody, faultId?: string): number {
  const model = buildModel(body, house);
  const sound = drawSound(model, () => 0.5);
  const fault = model.faults.find((f) => f.id === faultId);
  return willNotStop.likelihood(new Scene(model.machine, fault ? withBad(model, sound, fault, 0.5) : sound));
}

describe('an engine that will not stop', () => {
  it('a sound one stops with its key, with points and with a module, with its alternator charging', () => {
    expect(chance(machine())).toBeLessThan(0.01);
    expect(chance(machine({ layout: 'electronic', ballast: 'none', cylinders: 4, trigger: 'hall' }))).toBeLessThan(
      0.05,
    );
    expect(chance(CHARGED['alternator with a lamp']!)).toBeLessThan(0.01);
  });
  it('a switch that stays on does not let it', () => {
    expect(chance(machine(), 'switch.stays-on')).toBeGreaterThan(0.9);
  });
  it.each(['flywheel-magneto', 'rotating-magneto', 'capacitor-discharge'] as const)(
    'a %s goes on where its stop line does not earth it, and stops where it does',
    (layout) => {
      const body = machine({
        layout,
        ballast: 'none',
        cylinders: layout === 'rotating-magneto' ? 4 : 1,
        compressionRatio: 6,
      });
      expect(chance(body)).toBeLessThan(0.01);
      expect(chance(body, 'stop-wire-1.broken')).toBeGreaterThan(0.9);
      expect(chance(body, 'stop-switch.dead')).toBeGreaterThan(0.9);
      expect(chance(body, 'stop-switch.stuck')).toBeLessThan(0.01);
    },
  );
});
