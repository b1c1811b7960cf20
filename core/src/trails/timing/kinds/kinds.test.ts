import { describe, expect, it } from 'vitest';
import { answersWhenSound, testFaults } from '../../../__tests__/faultInRepairOut.ts';
import { house } from '../../../__tests__/machines.ts';
import { TIMED } from '../../../__tests__/timedMachines.ts';
import { pullsWell } from '../../../engine/mixture.ts';
import { INSTRUMENTS } from '../../../instruments/index.ts';
import { Scene } from '../../../machine/scene.ts';
import { CRANKING, FAST, IDLE } from '../../../machine/state.ts';
import { drawSound } from '../../../tracing/draw.ts';
import { withBad } from '../../../__tests__/withBad.ts';
import { buildModel } from '../../../tracing/model.ts';
import { Tracer } from '../../../tracing/trace.ts';

describe.each(Object.entries(TIMED))('%s', (_name, machine) => {
  const tracer = new Tracer(machine, { ...house, owns: [...house.owns, 'LED lamp', 'capacitance meter'] });
  const { model } = tracer;
  it('has a sound answer to every check, and a station for each part', () => answersWhenSound(tracer));
  const faults = model.faults.filter((f) => f.trail === 'timing');
  testFaults(tracer, faults);
});

/** What a mechanic sees of each, from the trade and not from the model. */
describe('by the light, on a distributor with weights and a pod', () => {
  const model = buildModel(TIMED['weights-vacuum']!, house);
  const sceneOf = (faultId?: string) => {
    const sound = drawSound(model, () => 0.5);
    const fault = model.faults.find((f) => f.id === faultId);
    return new Scene(model.machine, fault ? withBad(model, sound, fault, 0.9) : sound);
  };
  const shows = (checkId: string, faultId?: string): number => {
    const check = model.checks.find((c) => c.id === checkId)!;
    const seen = INSTRUMENTS[check.instrument].observe(sceneOf(faultId), check);
    if (seen.kind !== 'number') throw new Error('A light shows degrees');
    return seen.value;
  };
  it('sound: the book’s figure at idle, the weights fast, the pod on top of them', () => {
    expect(shows('timing-idle')).toBeCloseTo(8, 6);
    expect(shows('timing-fast')).toBeCloseTo(8 + 23, 6);
    // Total of old petrol engines: 28–38°, and the pod besides.
    expect(shows('timing-fast-hose')).toBeGreaterThan(38);
  });
  it('seized weights: right at idle, and it does not move', () => {
    expect(shows('timing-idle', 'timing-weights.seized')).toBeCloseTo(8, 6);
    expect(shows('timing-fast', 'timing-weights.seized')).toBeLessThan(13);
  });
  it('a spring gone: all of it at idle already', () => {
    expect(shows('timing-idle', 'timing-weights.springs')).toBeGreaterThan(25);
  });
  it('a pod that leaks: the same with the hose on and off', () => {
    expect(shows('timing-fast-hose', 'timing-pod.leaks')).toBeLessThan(shows('timing-fast', 'timing-pod.leaks') + 2);
  });
  it('a mark that slipped and the engine set by it: the light is content, the engine is not', () => {
    expect(shows('timing-idle', 'timing-mark.slipped')).toBeCloseTo(8, 6);
    expect(sceneOf('timing-mark.slipped').see('degreesOff', IDLE)).toBeLessThan(-20);
    expect(pullsWell(sceneOf('timing-mark.slipped'))).toBeLessThan(0.05);
  });
  it('half a turn out never fires, and a body turned late hardly pulls', () => {
    expect(sceneOf('timing-body.half').see('degreesOff', CRANKING)).toBe(180);
    expect(pullsWell(sceneOf('timing-body.late'))).toBeLessThan(0.05);
    expect(pullsWell(sceneOf())).toBe(1);
    expect(sceneOf().see('degreesOff', FAST)).toBe(0);
  });
});
