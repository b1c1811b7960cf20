import { describe, expect, it } from 'vitest';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { SQUEEZING } from '../../../__tests__/squeezingMachines.ts';
import { cylinderFires, squeezed } from '../../../engine/squeeze.ts';
import { Scene } from '../../../machine/scene.ts';
import { CRANKING, FAST, IDLE } from '../../../machine/state.ts';
import { seededRandom } from '../../../random/lcg.ts';
import { INSTRUMENT_IDS } from '../../../schema/house.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { Tracer } from '../../../tracing/trace.ts';

describe.each(Object.entries(SQUEEZING))('%s', (_name, machine) => {
  const tracer = new Tracer(machine, { ...house, owns: [...INSTRUMENT_IDS] });
  const { model } = tracer;
  it('squeezes enough to fire and to work when it is sound, whatever its tolerances', () => {
    const random = seededRandom(5);
    for (let k = 0; k < 12; k++) {
      const scene = new Scene(model.machine, drawSound(model, random));
      for (let c = 1; c <= machine.fitOut.cylinders; c++)
        for (const state of [CRANKING, IDLE, FAST]) expect(cylinderFires(scene, state, c)).toBeGreaterThan(0.97);
      expect(squeezed(scene)).toBeGreaterThan(0.98);
    }
  });
  it('has a sound answer to every check, and a station for each part', () => answersWhenSound(tracer));
  // Cylinders are alike: the first and the last stand for all.
  const faults = model.faults.filter((f) => f.trail === 'compression');
  testFaults(tracer, faults);
});
