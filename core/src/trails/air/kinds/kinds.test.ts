import { describe, expect, it } from 'vitest';
import { BREATHING } from '../../../__tests__/breathingMachines.ts';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { idlesWrong } from '../../../engine/idle.ts';
import { pullsWell } from '../../../engine/mixture.ts';
import { INSTRUMENTS } from '../../../instruments/index.ts';
import { Scene } from '../../../machine/scene.ts';
import { IDLE } from '../../../machine/state.ts';
import { seededRandom } from '../../../random/lcg.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { withBad } from '../../../__tests__/withBad.ts';
import { buildModel } from '../../../tracing/model.ts';
import { Tracer } from '../../../tracing/trace.ts';

describe.each(Object.entries(BREATHING))('%s', (_name, machine) => {
  const tracer = new Tracer(machine, { ...house, owns: [...house.owns, 'LED lamp', 'capacitance meter'] });
  const { model } = tracer;
  it('idles as it was set and pulls when it is sound, whatever its tolerances', () => {
    const random = seededRandom(5);
    for (let k = 0; k < 12; k++) {
      const scene = new Scene(model.machine, drawSound(model, random));
      expect(idlesWrong(scene)).toBeLessThan(0.08);
      expect(pullsWell(scene)).toBeGreaterThan(0.9);
    }
  });
  it('has a sound answer to every check, and a station for each part', () => answersWhenSound(tracer));
  const faults = model.faults.filter((f) => f.trail === 'air');
  testFaults(tracer, faults);
});

/** What a mechanic sees, from the trade and not from the model. */
describe('gauge and tachometer', () => {
  const model = buildModel(BREATHING['with spark, fuel and timing']!, house);
  const sceneOf = (faultId?: string, severity = 0.5) => {
    const sound = drawSound(model, () => 0.5);
    const fault = model.faults.find((f) => f.id === faultId);
    return new Scene(model.machine, fault ? withBad(model, sound, fault, severity) : sound);
  };
  const shows = (checkId: string, faultId?: string, severity?: number): number => {
    const check = model.checks.find((c) => c.id === checkId)!;
    const seen = INSTRUMENTS[check.instrument].observe(sceneOf(faultId, severity), check);
    if (seen.kind !== 'number') throw new Error('A gauge shows a number');
    return seen.value;
  };
  const vacuum = (faultId?: string, severity?: number) => -shows('air-vacuum-idle', faultId, severity) / 1e3;
  it('sound: 50 to 70 kPa below the air outside, steady at its idle', () => {
    expect(vacuum()).toBeGreaterThan(50);
    expect(vacuum()).toBeLessThan(70);
    expect(shows('air-rpm-idle')).toBeGreaterThan(780);
    expect(shows('air-rpm-idle')).toBeLessThan(920);
  });
  it('a small leak at a joint: weaker at idle, the gauge lower', () => {
    expect(sceneOf('air-gasket.leaks', 0.1).see('richness', IDLE)).toBeLessThan(0.85);
    expect(vacuum('air-gasket.leaks', 0.1)).toBeLessThan(vacuum() - 3);
  });
  it('late timing lowers the gauge as a leak does, and the mixture stays', () => {
    expect(vacuum('timing-body.late')).toBeLessThan(vacuum() - 5);
    expect(sceneOf('timing-body.late').see('richness', IDLE)).toBeGreaterThan(0.95);
  });
  it('a blocked exhaust: well at idle, the gauge falls away fast', () => {
    expect(vacuum('air-exhaust.blocked')).toBeCloseTo(vacuum(), 6);
    expect(shows('air-vacuum-fast', 'air-exhaust.blocked')).toBeGreaterThan(shows('air-vacuum-fast') + 10e3);
  });
  it('a stop that is backed off idles slowly or not at all; one that hangs, fast', () => {
    expect(shows('air-rpm-idle', 'air-stop.shut')).toBeLessThan(600);
    expect(shows('air-rpm-idle', 'air-stop.open')).toBeGreaterThan(1200);
  });
});
