import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../../__tests__/chargeMachines.ts';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { Scene } from '../../../machine/scene.ts';
import { seededRandom } from '../../../random/lcg.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { Tracer } from '../../../tracing/trace.ts';

const FAST = { key: 'run', points: 'turning', speed: 'fast', loads: 'none' } as const;
const everything = { ...house, owns: [...house.owns, 'LED lamp' as const] };

describe.each(Object.entries(CHARGED))('%s', (name, machine) => {
  const tracer = new Tracer(machine, everything);
  const { model } = tracer;
  if (name !== 'a lighting coil')
    it('fills its battery when it is sound, whatever its tolerances, and boils it with none of them', () => {
      const random = seededRandom(5);
      for (let k = 0; k < 12; k++) {
        const scene = new Scene(model.machine, drawSound(model, random));
        const volts = (scene.see('busVolts', FAST) * 12) / model.machine.fit.volts;
        expect(volts).toBeGreaterThan(13.4);
        expect(volts).toBeLessThan(14.8);
        expect(scene.see('chargeAmps', FAST)).toBeGreaterThan(1.5);
        expect(scene.see('drainAmps', { key: 'off', points: 'open' })).toBeLessThan(0.05);
      }
    });
  it('has a sound answer to every check, a station for each part, and words for each node that is probed', () =>
    answersWhenSound(tracer));
  const faults = model.faults.filter((f) => f.trail === 'charge');
  testFaults(tracer, faults);
});
