import { describe, expect, it } from 'vitest';
import { fitOf } from '../../schema/fit.ts';
import { CHARGED } from '../../__tests__/chargeMachines.ts';
import { fieldFed, fieldVolts, heldAt, regulatorEarthDrop } from './fieldCircuit.ts';
import type { MachineParams } from '../../machine/known.ts';
import { Scene } from '../../machine/scene.ts';
import { FAST, LOADED } from '../../machine/state.ts';
import { middleFigures } from '../../tracing/middle.ts';
import { buildModel } from '../../tracing/model.ts';
import { house } from '../../__tests__/machines.ts';

const A = CHARGED['generator, six volts, positive earth']!;
const B = CHARGED['generator, twelve volts, without a lamp']!;
const fits = { A: fitOf(A.fitOut), B: fitOf(B.fitOut) };

const sound: MachineParams = {
  charger: { voltsPerRpm: 0.008, ohms: 0.2, fieldOhms: 6, residual: 0.03 },
  'charge-regulator': { setVolts: 14.2 },
  'regulator-earth': { ohms: 0.01 },
  'field-wire': { ohms: 0, earthOhms: 1e8 },
};
const on = (id: string, change: object): MachineParams => ({ ...sound, [id]: { ...sound[id], ...change } });

describe('what feeds a generator’s field', () => {
  it.each([
    ['sound', sound, { most: 1, regulated: true }, { most: 1, regulated: true }],
    ['its wire off', on('field-wire', { ohms: 1e12 }), { most: 0, regulated: true }, { most: 0, regulated: true }],
    // Earth at the far end is just what an A field asks for; on a B field it takes all that the box feeds.
    ['its wire on earth', on('field-wire', { earthOhms: 0.05 }), { most: 1, regulated: false }, { most: 0 }],
    ['the box dead', on('charge-regulator', { dead: 1 }), { most: 0 }, { most: 0 }],
    ['the box off its earth', on('regulator-earth', { ohms: 1e12 }), { most: 0 }, { most: 1, regulated: false }],
  ])('%s', (_name, params, a, b) => {
    const near = (fed: { most: number; regulated: boolean }) => ({ ...fed, most: Math.round(fed.most * 100) / 100 });
    expect(near(fieldFed(fits.A, params))).toMatchObject(a);
    expect(near(fieldFed(fits.B, params))).toMatchObject(b);
  });
  it('as many ohms in its wire as it has itself halve its current: two thirds of its flux by Fröhlich’s curve', () => {
    const { most } = fieldFed(fits.B, on('field-wire', { ohms: 6 }));
    // φ = 2i/(i + 1) at i = ½; what is left in the iron adds a little.
    expect(most).toBeCloseTo(2 / 3, 2);
  });
  it('an A box with a poor earth holds the volts over it too high; a B box by the share its winding loses', () => {
    const regulated = { most: 1, regulated: true };
    // 45 Ω of winding over 4.5 Ω of earth: one part in eleven is not seen.
    expect(heldAt(fits.B, 14, 4.5, regulated)).toBeCloseTo(15.4, 6);
    expect(regulatorEarthDrop(fits.B, 4.5, 15.4)).toBeCloseTo(1.4, 6);
    const drop = regulatorEarthDrop(fits.A, 0.2, 7);
    expect(heldAt(fits.A, 7, 0.2, regulated)).toBeCloseTo(7 + drop, 6);
    expect(heldAt(fits.A, 7, 0, { most: 1, regulated: false })).toBeGreaterThan(15);
  });
});

describe('volts at the field terminal', () => {
  it.each([
    ['A', A, -1],
    ['B', B, 1],
  ] as const)('%s: move with what is asked of the machine', (_name, machine, direction) => {
    const model = buildModel(machine, house);
    const scene = new Scene(model.machine, middleFigures(model));
    const volts = fieldVolts(scene);
    expect(volts).toBeGreaterThan(0);
    expect(volts).toBeLessThan(scene.see('busVolts', FAST) + 1);
    // With a field of half the turns it takes twice the current to hold the same: the same machine turned more slowly.
    const slower = new Scene(model.machine, {
      ...middleFigures(model),
      charger: {
        ...middleFigures(model)['charger']!,
        voltsPerRpm: middleFigures(model)['charger']!['voltsPerRpm']! * 0.8,
      },
    });
    expect(Math.sign(fieldVolts(slower) - volts)).toBe(direction);
    expect(slower.see('busVolts', LOADED)).toBeGreaterThan(0);
  });
});
