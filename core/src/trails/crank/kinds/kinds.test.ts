import { describe, expect, it } from 'vitest';
import { CRANKED } from '../../../__tests__/crankMachines.ts';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { Scene } from '../../../machine/scene.ts';
import { seededRandom } from '../../../random/lcg.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { Tracer } from '../../../tracing/trace.ts';

const AT_START = { key: 'crank', points: 'turning' } as const;

describe.each(Object.entries(CRANKED))('%s', (_name, machine) => {
  const tracer = new Tracer(machine, house);
  const { model } = tracer;
  it('turns well when it is sound, whatever its tolerances', () => {
    const random = seededRandom(5);
    for (let k = 0; k < 12; k++) {
      const scene = new Scene(model.machine, drawSound(model, random));
      expect(scene.see('cranking', AT_START)['turns well']).toBeGreaterThan(0.9);
      expect(scene.see('turns', AT_START)).toBeGreaterThan(0.9);
    }
  });
  it('has a sound answer to every check, a station for each part, and words for each node that is probed', () =>
    answersWhenSound(tracer));
  const faults = model.faults.filter((f) => f.trail === 'crank');
  testFaults(tracer, faults);
});
