import { describe, expect, it } from 'vitest';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { TIMED } from '../__tests__/timedMachines.ts';
import { columnOf } from '../ignition/index.ts';
import { Scene } from '../machine/scene.ts';
import { measure, solveTransient } from '../network/index.ts';
import { drawSound } from '../tracing/draw.ts';
import type { JobEvent } from '../schema/job.ts';
import { Tracer } from '../tracing/trace.ts';
import { freeProbeId } from '../trails/freeProbe.ts';
import { baseForTotal, lightProbe, lightRows, timingCurve } from './timingCurve.ts';
import { sparkBench } from './sparkBench.ts';

const light = (rpm: number, degrees: number, hose: 'on' | 'off' = 'off') => {
  const probe = lightProbe(rpm, hose);
  return reading(freeProbeId(probe), degrees, { probe });
};
const pin = (low: number, high = low) => ({ low, high, source: 'manual' as const, note: '' });
/** 8° before top, and 23° of weights from 1000 to 3000: a book's curve. */
const plates = {
  'timing-body.baseDegrees': pin(7, 9),
  'timing-weights.maxDegrees': pin(22, 24),
  'timing-weights.startRpm': pin(1000),
  'timing-weights.fullRpm': pin(3000),
};
const weights = new Tracer({ ...TIMED['weights']!, plates }, house);

describe('the measured timing against the plate', () => {
  it('the band is the book’s: flat to 1000, straight to 31° at 3000, flat again', () => {
    const { rpms, band } = timingCurve(weights, [])!;
    const at = (rpm: number) => band[rpms.findIndex((r) => r >= rpm)]!;
    const mid = ({ low, high }: { low: number; high: number }) => (low + high) / 2;
    expect(mid(at(600))).toBeCloseTo(8, 1);
    expect(mid(at(3200))).toBeCloseTo(31, 1);
    // Half way between 1000 and 3000 half of the 23° is there; the grid has a speed within 65 rev/min.
    const half = rpms.findIndex((r) => r >= 2000);
    expect(mid(band[half]!)).toBeCloseTo(8 + (23 * (rpms[half]! - 1000)) / 2000, 1);
    // Two tolerances of a degree either side, by squares.
    expect(at(3200).high - at(3200).low).toBeCloseTo(2 * Math.SQRT2, 1);
  });
  it('as the book has it: sound', () => {
    const found = timingCurve(weights, [light(800, 8), light(2000, 19.5), light(3200, 31)])!;
    expect(found.sound).toBeGreaterThan(0.87);
    expect(found.measured).toEqual({ base: 8, gain: 23 });
  });
  it.each([
    ['a seized weight', [8, 11, 13], 'timing-weights.seized'],
    ['a spring gone: all of it at idle', [28, 31, 31], 'timing-weights.springs'],
    ['a stop that is lost', [8, 26, 42], 'timing-weights.stop'],
    ['the body turned late', [-9, 2, 14], 'timing-body.late'],
    ['the body turned early', [24, 36, 47], 'timing-body.early'],
  ] as const)('%s is named', (_name, [idle, half, fast], faultId) => {
    const { explained, sound } = timingCurve(weights, [light(800, idle), light(2000, half), light(3200, fast)])!;
    expect(explained[0]!.faultId).toBe(faultId);
    expect(sound).toBeLessThan(0.05);
  });
  it('one reading alone leaves late and seized both open; the second tells them apart', () => {
    const one = timingCurve(weights, [light(3200, 14)])!.explained.map((e) => e.faultId);
    expect(one).toEqual(expect.arrayContaining(['timing-body.late', 'timing-weights.seized']));
    const two = timingCurve(weights, [light(3200, 14), light(700, 8)])!.explained;
    expect(two[0]!.faultId).toBe('timing-weights.seized');
    expect(two.find((e) => e.faultId === 'timing-body.late')).toBeUndefined();
  });
  it.each([
    ['8° late all along', -8, 'against', 4],
    ['5° early all along', 5, 'with', 2.5],
    ['12° late all along', -12, 'against', 6],
  ] as const)('%s is set by turning the body', (_name, off, way, body) => {
    const { turn, sound } = timingCurve(weights, [
      light(800, 8 + off),
      light(2000, 19.5 + off),
      light(3200, 31 + off),
    ])!;
    expect(sound).toBeLessThan(0.05);
    expect(turn).toMatchObject({ way });
    expect(turn!.bodyDegrees).toBeCloseTo(body, 0);
    expect(turn!.crankDegrees).toBeCloseTo(2 * body, 0);
  });
  it('a curve that is off here and not there is not set by turning', () => {
    expect(timingCurve(weights, [light(800, 8), light(3200, 14)])!.turn).toBeNull();
    expect(timingCurve(weights, [light(800, 8), light(2000, 19.5), light(3200, 31)])!.turn).toBeNull();
  });
  it('a mark found 8° before true top mends what the light showed, in the bench and in the trace, until it is made anew', () => {
    const top = (id: string, before: number, after: number): JobEvent => ({
      type: 'sheet',
      sheet: { id, body: { kind: 'top', before, after }, at: '2026-01-01T10:00:00Z' },
    });
    // Against a mark that comes 8° too soon a right curve reads 8° less.
    const shown = [light(800, 0), light(2000, 11.5), light(3200, 23)];
    expect(timingCurve(weights, shown)!.explained[0]!.faultId).toBe('timing-body.late');
    // It meets the stop 52° before the mark and 68° after it: the middle is 8° after the mark.
    const known = [...shown, top('a', 52, 68)];
    const found = timingCurve(weights, known)!;
    expect(found.markOff).toBeCloseTo(-8, 6);
    expect(found.rows.map((r) => r.degrees)).toEqual([8, 19.5, 31]);
    expect(found.sound).toBeGreaterThan(0.87);
    const late = (events: readonly JobEvent[]) =>
      weights
        .trace({ ...noFire, symptom: 'no-pull' }, events, { warmth: 'unknown', faultPresent: 'yes' })
        .suspects.find((s) => s.fault.id === 'timing-body.late')?.share ?? 0;
    expect(late(shown)).toBeGreaterThan(0.1);
    expect(late(known)).toBeLessThan(0.05);
    // Made anew, the light is right as it shows: what was read before still is mended.
    const anew = [...known, top('b', 60, 60), light(1000, 8)];
    expect(timingCurve(weights, anew)!.rows.map((r) => r.degrees)).toEqual([8, 19.5, 31, 8]);
    expect(timingCurve(weights, anew)!.markOff).toBeCloseTo(0, 9);
  });
  it('what was read before the base was set, or the points, no longer weighs', () => {
    const set = (figure: string, foundAt: number | null = null): JobEvent => ({
      type: 'setting',
      setting: { id: figure, figure, foundAt, leftAt: 8, at: '2026-01-01T10:00:00Z' } as never,
    });
    for (const figure of ['timing-body.baseDegrees', 'points.gapMetres'])
      expect(lightRows(weights.model, [light(800, 0), set(figure), light(810, 8)]).map((r) => r.now)).toEqual([
        false,
        true,
      ]);
    // Looked at and left as it was found, it retires nothing.
    const left = [light(800, 8), set('timing-body.baseDegrees', 8)];
    expect(lightRows(weights.model, left).map((r) => r.now)).toContain(true);
    expect(lightRows(weights.model, [light(800, 0), set('plugs.gap'), light(810, 8)]).every((r) => r.now)).toBe(true);
  });
  it('readings from before a repair are shown and no longer weigh', () => {
    const events = [light(800, 8), light(3200, 12), fix('timing-weights.free'), light(800, 8), light(3200, 31)];
    expect(lightRows(weights.model, events).map((r) => r.now)).toEqual([false, false, true, true]);
    expect(timingCurve(weights, events)!.sound).toBeGreaterThan(0.87);
  });
  it('the light at a speed is evidence in the trace like any reading', () => {
    const poor = { ...noFire, symptom: 'no-pull' as const };
    const share = (events: Parameters<Tracer['trace']>[1]) =>
      weights
        .trace(poor, events, { warmth: 'unknown', faultPresent: 'yes' })
        .suspects.find((s) => s.fault.id === 'timing-weights.seized')?.share ?? 0;
    expect(share([light(800, 8), light(3200, 12)])).toBeGreaterThan(0.8);
    expect(share([light(800, 8), light(3200, 31)])).toBeLessThan(0.02);
  });
  it('a pod gives its share only with the hose on', () => {
    const pod = new Tracer(TIMED['weights-vacuum']!, house);
    const { rpms, band, bandOn } = timingCurve(pod, [])!;
    const last = rpms.length - 1;
    expect(bandOn![last]!.low - band[last]!.high).toBeGreaterThan(3);
    expect(bandOn![0]!.low).toBeCloseTo(band[0]!.low, 6);
    // On the manifold itself it gives all it has at idle, 10–16° by the plate; over the throttle's edge nothing.
    const { ported, manifold } = timingCurve(pod, [])!.taps!;
    expect(manifold - ported).toBeCloseTo(13, 6);
    expect(ported).toBeCloseTo(8, 6);
    const torn = timingCurve(pod, [light(850, 8, 'off'), light(3300, 31, 'off'), light(3300, 31, 'on')])!;
    expect(
      torn.explained
        .slice(0, 2)
        .map((e) => e.faultId)
        .sort(),
    ).toEqual(['timing-pod.hose', 'timing-pod.leaks']);
  });
  it('untold timing has no curve', () => {
    expect(timingCurve(new Tracer(machine(), house), [])).toBeNull();
  });
  it('by hand: 34° wanted and 24° of weights ask for 10° at idle', () => {
    expect(baseForTotal(34, 24)).toBe(10);
  });
});

describe('coil, ballast, points, plugs and leads over the speeds', () => {
  const { model } = new Tracer(machine(), house);
  const bench = sparkBench(model)!;
  it('the steady current is the battery’s volts over everything in the loop', () => {
    const { params } = new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    );
    const loop = params['coil']!['primaryOhms']! + params['ballast']!['ohms']!;
    // Joints, switch and battery add a little to the coil and ballast themselves.
    expect(bench.closedAmps!).toBeLessThan(12.7 / loop);
    expect(bench.closedAmps!).toBeGreaterThan(12.3 / (loop + 0.5));
  });
  it('heat is I²R for the share of the turn: of the coil and of the ballast as their ohms', () => {
    const { params } = new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    );
    expect(bench.ballastWatts! / bench.coilWatts!).toBeCloseTo(
      params['ballast']!['ohms']! / params['coil']!['primaryOhms']!,
      6,
    );
  });
  it('volts there fall with the speed and never rise, volts asked stay', () => {
    bench.rows.slice(1).forEach((r, k) => {
      if (k > 4) expect(r.available).toBeLessThanOrEqual(bench.rows[k]!.available * 1.001);
      expect(r.asked).toBeCloseTo(bench.rows[0]!.asked, 6);
    });
  });
  it('a second method: the transient of its own firing raises the same, within a tenth, at a slow and a fast speed', () => {
    const scene = new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    );
    const firing = model.machine.trails.find((t) => t.firing)!.firing!;
    for (const row of [bench.rows[2]!, bench.rows[12]!]) {
      const state = { key: 'run', points: 'turning', loads: 'none', rpm: row.rpm } as const;
      const { circuit, until, longest, at } = firing(
        scene,
        row.rpm >= 1300 ? { ...state, speed: 'fast' } : state,
        1,
        false,
      );
      const run = solveTransient(circuit, { until, longest, fromInitial: true });
      if (!run.ok) throw new Error(run.code);
      const raised = measure(columnOf(run, 'sec'), at, until).peak;
      expect(row.available / raised).toBeGreaterThan(0.9);
      expect(row.available / raised).toBeLessThan(1.1);
    }
  });
  it('a ballasted coil without its ballast burns the points, and says what to fit', () => {
    const bare = sparkBench(model, { 'ballast.ohms': 0.01 })!;
    expect(bare.says).toContain('burns points');
    // What it asks for brings the current to 3.8 A when it is tried.
    expect(sparkBench(model, { 'ballast.ohms': bare.ballastFor! + 0.01 })!.closedAmps!).toBeCloseTo(3.8, 1);
  });
  it('an unballasted coil behind the ballast is feeble; a wide gap runs short at speed', () => {
    expect(sparkBench(model, { 'coil.primaryOhms': 4 })!.says).toContain('feeble');
    const wide = sparkBench(model, { 'plug-1.gapMetres': 1.6e-3 })!;
    expect(wide.rows[0]!.asked).toBeGreaterThan(bench.rows[0]!.asked);
    expect(wide.shortFrom ?? Infinity).toBeLessThan(bench.shortFrom ?? Infinity);
  });
  it('resistors in leads and in plugs are summed along the path', () => {
    const twice = sparkBench(model, { 'plug-1.ohms': 10e3, 'lead-1.ohms': 15e3, 'coil-lead.ohms': 5e3 })!;
    expect(twice.path.reduce((sum, p) => sum + p.ohms, 0)).toBeGreaterThanOrEqual(30e3);
    expect(twice.says).toContain('resistors twice');
    expect(bench.says).not.toContain('resistors twice');
  });
  it('a figure that the machine has not got changes nothing', () => {
    expect(sparkBench(model, { 'no-such.figure': 3 })).toEqual(bench);
  });
  it('works on the other kinds: a flywheel magneto has no closed current, and rises with its speed', () => {
    const magneto = sparkBench(
      new Tracer(machine({ layout: 'flywheel-magneto', cylinders: 1, ballast: 'none' }), house).model,
    )!;
    expect(magneto.closedAmps).toBeNull();
    for (const row of magneto.rows) expect(row.available).toBeGreaterThanOrEqual(magneto.cranking.available);
  });
});
