import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { TIMED } from '../__tests__/timedMachines.ts';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { house, machine, noFire } from '../__tests__/machines.ts';
import { fitOutSchema, type FitOut } from '../schema/fitOut.ts';
import type { MachineBody } from '../schema/machine.ts';
import { timingCurve } from '../setup/timingCurve.ts';
import { sparkBench } from '../setup/sparkBench.ts';
import { ruler } from '../tracing/ruler.ts';
import { Tracer } from '../tracing/trace.ts';
import { heldRpm, idleRpm, topRpm } from './speeds.ts';

/** A slow tractor: idles at 480, governed at 1,800. */
const SLOW = { idleRpm: 480, topRpm: 1800 } as const;
const slow = (body: MachineBody): MachineBody => ({ ...body, fitOut: { ...body.fitOut, ...SLOW } });
const well = (body: MachineBody, id: string) => {
  const { weigher } = new Tracer(body, house);
  return ruler(weigher, weigher.check(id)!, []).well;
};
const setOf = (body: MachineBody, id: string): string => new Tracer(body, house).weigher.check(id)!.set;
const breathing = Object.values(BREATHING)[0]!;

describe('the speeds of an engine', () => {
  it('are what is usual for so many cylinders until they are told; nobody holds it above its top', () => {
    expect([idleRpm({ cylinders: 4 }), topRpm({ cylinders: 4 }), heldRpm({ cylinders: 4 })]).toEqual([850, 5600, 2400]);
    expect([idleRpm({ cylinders: 1 }), heldRpm({ cylinders: 1 })]).toEqual([1200, 4500]);
    expect([idleRpm, topRpm, heldRpm].map((of) => of({ cylinders: 4, ...SLOW }))).toEqual([480, 1800, 1800]);
    expect(heldRpm({ cylinders: 1, topRpm: 600 })).toBe(600);
  });
  it('are said by the checks that ask for them', () => {
    const dynamo = CHARGED['generator, six volts, positive earth']!;
    expect(setOf(dynamo, 'charge-fast')).toContain('at 2400 rev/min');
    expect(setOf(slow(dynamo), 'charge-fast')).toContain('at 1800 rev/min');
    expect(setOf(slow(dynamo), 'charge-idle')).toContain('at its idle');
  });
  it('an idle lies below its top', () => {
    const { fitOut } = machine();
    expect(fitOutSchema.safeParse({ ...fitOut, ...SLOW }).success).toBe(true);
    const upside: FitOut = { ...fitOut, idleRpm: 900, topRpm: 800 };
    expect(fitOutSchema.safeParse(upside).error?.issues[0]?.path).toEqual(['topRpm']);
    expect(fitOutSchema.safeParse({ ...fitOut, idleRpm: 20 }).success).toBe(false);
  });
});

describe('a slow tractor', () => {
  const measured = Object.entries(CHARGED).filter(([, body]) => new Tracer(body, house).weigher.check('charge-fast'));
  it.each(measured)('%s: charges at its own speed as another does at the usual one', (_kind, body) => {
    const [usual, own] = [well(body, 'charge-fast'), well(slow(body), 'charge-fast')];
    expect(own.low / usual.low).toBeCloseTo(1, 1.7);
    expect(own.high / usual.high).toBeCloseTo(1, 1.7);
  });
  it('was tried with belts and with windings under a flywheel', () => expect(measured.length).toBeGreaterThan(4));
  it('idles at 480 when it is well, and nobody complains of that', () => {
    const idle = well(slow(breathing), 'air-rpm-idle');
    expect(idle.low).toBeLessThan(480);
    expect(idle.high).toBeGreaterThan(480);
    expect(idle.high).toBeLessThan(700);
    const { weigher } = new Tracer(slow(breathing), house);
    expect(weigher.complaintShare([], { ...noFire, symptom: 'idle-wrong' })).toBeLessThan(0.05);
  });
  it('has weights that are out before its governor holds it, and a curve drawn as far', () => {
    const timed = Object.values(TIMED).find((b) => new Tracer(b, house).model.plates.has('timing-weights.fullRpm'))!;
    const tracer = new Tracer(slow(timed), house);
    const full = tracer.model.plates.get('timing-weights.fullRpm');
    expect(full!.high).toBeLessThan(SLOW.topRpm);
    expect(full!.low).toBeGreaterThan(tracer.model.plates.get('timing-weights.startRpm')!.high);
    const { rpms } = timingCurve(tracer, [])!;
    expect(rpms.at(-1)).toBe(SLOW.topRpm);
    expect(rpms[0]).toBeLessThan(SLOW.idleRpm);
  });
  it('has its spark reckoned up to its governor and not beyond', () => {
    const bench = (body: MachineBody) => sparkBench(new Tracer(body, house).model)!.rows;
    expect(bench(slow(machine())).at(-1)!.rpm).toBe(1800);
    expect(bench(slow(machine()))[0]!.rpm).toBe(240);
    expect(bench(machine()).at(-1)!.rpm).toBe(5600);
  });
});
