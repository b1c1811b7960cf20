import { describe, expect, it } from 'vitest';
import { FUELLED } from '../../../__tests__/fuelMachines.ts';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { burns } from '../../../engine/burns.ts';
import { pullsWell, stallsUnderway } from '../../../engine/mixture.ts';
import { Scene } from '../../../machine/scene.ts';
import { CRANKING, FAST, IDLE } from '../../../machine/state.ts';
import { seededRandom } from '../../../random/lcg.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { Tracer } from '../../../tracing/trace.ts';

describe.each(Object.entries(FUELLED))('%s', (_name, machine) => {
  const tracer = new Tracer(machine, { ...house, owns: [...house.owns, 'LED lamp', 'capacitance meter'] });
  const { model } = tracer;
  it('starts, idles and pulls when it is sound, whatever its tolerances', () => {
    const random = seededRandom(5);
    for (let k = 0; k < 12; k++) {
      const scene = new Scene(model.machine, drawSound(model, random));
      for (const state of [CRANKING, IDLE, FAST])
        expect(burns(scene.see('richness', state), state), `${state.key} ${state.speed}`).toBeGreaterThan(0.97);
      expect(pullsWell(scene)).toBeGreaterThan(0.95);
      expect(stallsUnderway(scene)).toBeLessThan(0.01);
      expect(scene.see('floods', IDLE)).toBeLessThan(0.01);
    }
  });
  it('has a sound answer to every check, and a station for each part', () => answersWhenSound(tracer));
  const faults = model.faults.filter((f) => f.trail === 'fuel');
  testFaults(tracer, faults);
});
