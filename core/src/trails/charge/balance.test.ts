import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../__tests__/chargeMachines.ts';
import { cranked } from '../../__tests__/crankMachines.ts';
import { house } from '../../__tests__/machines.ts';
import { Scene } from '../../machine/scene.ts';
import type { MachineBody } from '../../schema/machine.ts';
import { drawSound } from '../../tracing/draw.ts';
import { buildModel } from '../../tracing/model.ts';
import { balanceOf } from './balance.ts';

function of(machine: MachineBody) {
  const model = buildModel(machine, house);
  return balanceOf(
    new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    ),
  );
}
const bike = (watts: number) =>
  of(
    cranked(
      [{ trail: 'charge', kind: 'stator-three', options: { control: 'shunt', loads: [{ label: 'Lamp', watts }] } }],
      { cylinders: 1, compressionRatio: 9 },
    ),
  )!;

describe('the balance sheet', () => {
  it('gives nothing until it cuts in, rises, and flattens by itself', () => {
    const { points, fastRpm } = of(CHARGED['three phases under a flywheel']!)!;
    expect(points[0]!.gives).toBe(0);
    const at = (rpm: number) =>
      points.reduce((best, p) => (Math.abs(p.rpm - rpm) < Math.abs(best.rpm - rpm) ? p : best)).gives;
    for (let k = 1; k < points.length; k++)
      expect(points[k]!.gives).toBeGreaterThanOrEqual(points[k - 1]!.gives - 1e-9);
    expect(at(fastRpm) - at(fastRpm * 0.8)).toBeLessThan(at(fastRpm * 0.5) - at(fastRpm * 0.3));
  });
  it('a generator runs down at idle, an alternator does not', () => {
    const generator = of(CHARGED['generator, twelve volts, without a lamp']!)!;
    expect(generator.hoursToFlat).toBeGreaterThan(1);
    expect(generator.evenRpm).toBeGreaterThan(generator.idleRpm);
    const alternator = of(CHARGED['alternator with a lamp']!)!;
    expect(alternator.hoursToFlat).toBeNull();
    expect(alternator.hoursToFull).toBeGreaterThan(3);
    expect(Math.max(...generator.points.map((p) => p.gives))).toBeLessThan(23);
  });
  it('takes what its consumers take at the set point, by Ohm’s law from their rated watts', () => {
    const { takes, items, volts } = bike(60);
    expect(takes).toBeCloseTo((60 / 144) * volts, 9);
    expect(items).toEqual([{ label: 'Lamp', amps: takes }]);
  });
  it('hours follow from what is lacking; more than it gives never fills', () => {
    const much = bike(600);
    expect(much.hoursToFull).toBeNull();
    expect(much.evenRpm).toBeNull();
    const idle = much.points.find((p) => p.rpm >= much.idleRpm)!.gives;
    expect(much.hoursToFlat).toBeCloseTo((0.75 * much.ampHours) / (much.takes - idle), 0);
  });
  it('is not drawn where no battery is kept', () => {
    expect(of(CHARGED['a lighting coil']!)).toBeUndefined();
  });
});
