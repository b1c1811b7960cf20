import { describe, expect, it } from 'vitest';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { STOPPED } from '../../../__tests__/stoppedMachines.ts';
import { Scene } from '../../../machine/scene.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { seededRandom } from '../../../random/lcg.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { withBad } from '../../../__tests__/withBad.ts';
import { Tracer } from '../../../tracing/trace.ts';
import { heldAfterMinute, keptUp } from '../holding.ts';

describe.each(Object.entries(STOPPED))('%s', (_name, machine) => {
  const tracer = new Tracer(machine, house);
  const { model } = tracer;
  it('runs when it is told to run, and stops when it is told to stop, whatever its tolerances', () => {
    const random = seededRandom(9);
    for (let k = 0; k < 12; k++) {
      const scene = new Scene(model.machine, drawSound(model, random));
      expect(scene.see('fuelCut', KEY_OFF)).toBeLessThan(0.01);
      expect(scene.see('stops', KEY_OFF)).toBeGreaterThan(0.99);
    }
  });
  it('has a sound answer to every check, and a station for each part', () => answersWhenSound(tracer));
  const faults = model.faults.filter((f) => f.trail === 'stop');
  it.each(faults.map((f) => [f.id, f] as const))('%s does one of the two things wrong', (_id, fault) => {
    const scene = new Scene(
      model.machine,
      withBad(
        model,
        drawSound(model, () => 0.5),
        fault,
        0.8,
      ),
    );
    expect(Math.max(scene.see('fuelCut', KEY_OFF), 1 - scene.see('stops', KEY_OFF))).toBeGreaterThan(0.6);
  });
  testFaults(tracer, faults);
});

describe('vacuum', () => {
  it('two equal holes in a row share it: half of the way through the first', () => {
    expect(keptUp(80e3, 1e-6, 1e-6)).toBeCloseTo(40e3, 6);
    expect(keptUp(80e3, 0)).toBe(80e3);
  });
  it('a healthy actuator holds more than a minute; a pinhole of two tenths of a millimetre does not', () => {
    expect(heldAfterMinute(1e-11)).toBeGreaterThan(0.8);
    expect(heldAfterMinute(Math.PI * 0.1e-3 ** 2)).toBeLessThan(0.2);
  });
});
