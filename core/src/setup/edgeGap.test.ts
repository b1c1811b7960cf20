import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { magnetoFires } from '../ignition/index.ts';
import { CRANKING } from '../machine/state.ts';
import { Scene } from '../machine/scene.ts';
import { drawSound } from '../tracing/draw.ts';
import { Tracer } from '../tracing/trace.ts';
import { magnetoOf } from '../trails/spark/magnetoSpark.ts';
import { edgeAt, edgeGap } from './edgeGap.ts';

const of = (layout: 'flywheel-magneto' | 'rotating-magneto', cylinders: 1 | 4, compressionRatio: number) =>
  new Tracer(machine({ layout, cylinders, compressionRatio }), house).model;
const flywheel = of('flywheel-magneto', 1, 7);
const rotating = of('rotating-magneto', 4, 5);

describe('edge gap', () => {
  it('by hand: on magnets 150 mm across a degree is 1.309 mm, on 47 mm 0.41 mm', () => {
    expect(edgeAt(edgeGap(flywheel)!, 13.09e-3)!.degrees).toBeCloseTo(10, 1);
    expect(edgeAt(edgeGap(rotating)!, 4.1e-3)!.degrees).toBeCloseTo(10, 1);
  });
  it.each([0, 21, 45])('at %d° the current cut is what the circuit has in time when they part', (degrees) => {
    const found = edgeGap(flywheel)!;
    const row = found.rows.find((r) => r.degrees === degrees)!;
    const sound = drawSound(flywheel, () => 0.5);
    const put = { ...sound, 'points-1': { ...sound['points-1'], edgeMetres: row.metres } };
    const magneto = magnetoOf(new Scene(flywheel.machine, put), CRANKING, 1);
    expect(row.cranking / magnetoFires(magneto, found.crankingRpm).breakAmps).toBeCloseTo(1, 1.7);
  });
  it.each([flywheel, rotating])(
    'the current lags the voltage: most is cut after neutral, the later the faster',
    (model) => {
      const { rows } = edgeGap(model)!;
      const best = (of: 'cranking' | 'fast') => rows.reduce((a, b) => (b[of] > a[of] ? b : a)).degrees;
      expect(best('cranking')).toBeGreaterThanOrEqual(0);
      expect(best('cranking')).toBeLessThan(25);
      expect(best('fast')).toBeGreaterThan(best('cranking') + 10);
    },
  );
  it('on the plate it fires as slowly as anywhere; far off only when it is turned faster', () => {
    for (const model of [flywheel, rotating]) {
      const found = edgeGap(model)!;
      const [low, high] = [edgeAt(found, found.plate.low)!, edgeAt(found, found.plate.high)!];
      for (const { share } of [low, high]) expect(share).toBeGreaterThan(0.97);
      const ends = [found.rows[0]!, found.rows.at(-1)!];
      for (const end of ends) expect(end.leastRpm).toBeGreaterThan(1.15 * low.leastRpm);
      expect(low.leastRpm).toBeLessThan(found.crankingRpm);
    }
  });
  it('beyond what was worked out it says nothing, and a car with a battery has none', () => {
    expect(edgeAt(edgeGap(flywheel)!, 0.2)).toBeUndefined();
    expect(edgeAt(edgeGap(flywheel)!, -0.2)).toBeUndefined();
    expect(edgeGap(new Tracer(machine(), house).model)).toBeNull();
  });
});
