import { describe, expect, it } from 'vitest';
import { house, machine } from '../__tests__/machines.ts';
import { INSTRUMENTS } from '../instruments/index.ts';
import { Scene } from '../machine/scene.ts';
import { seededRandom } from '../random/lcg.ts';
import { drawSound } from './draw.ts';
import { buildModel } from './model.ts';
import { passes } from './ruler.ts';
import { SoundBands } from './soundBand.ts';
import { Tracer } from './trace.ts';

const given = (low: number, high: number) => ({ low, high, source: 'manual' as const, note: '' });
const bandsOf = (body: Parameters<typeof buildModel>[0]) => {
  const model = buildModel(body, house);
  const bands = new SoundBands(model);
  const check = (id: string) => model.checks.find((c) => c.id === id)!;
  return { model, check, of: (id: string) => bands.of(check(id)) };
};

describe('the band when well is the plate', () => {
  it('points of 0.33 to 0.43 mm read 0.33 to 0.43 mm', () => {
    const { of } = bandsOf(machine({}, { 'points.gapMetres': given(0.33e-3, 0.43e-3) }));
    expect(of('points-gap').low).toBeCloseTo(0.33e-3, 9);
    expect(of('points-gap').high).toBeCloseTo(0.43e-3, 9);
  });
  it('a primary of 1.3 to 1.7 Ω reads so, and the meter’s error stands at its edge', () => {
    const { of } = bandsOf(machine({}, { 'coil.primaryOhms': given(1.3, 1.7) }));
    const band = of('coil-primary');
    expect([band.low, band.high]).toEqual([expect.closeTo(1.3, 2), expect.closeTo(1.7, 2)]);
    expect(band.edge.low).toBeLessThan(band.low);
    expect(band.edge.high).toBeGreaterThan(band.high);
  });
  it('equal parts have equal bands', () => {
    const { of, model } = bandsOf(machine({ cylinders: 8 }));
    const leads = model.checks.filter((c) => /^lead-\d-ohms$/.test(c.id));
    expect(leads).toHaveLength(8);
    const first = of(leads[0]!.id);
    for (const lead of leads) expect(of(lead.id)).toEqual(first);
  });
  it('what cannot be below nothing is not', () => {
    const { of, model } = bandsOf(machine());
    for (const c of model.checks)
      if (INSTRUMENTS[c.instrument].dimension === 'resistance' && of(c.id).openShare < 1)
        expect(of(c.id).edge.low, c.id).toBeGreaterThanOrEqual(0);
  });
  it('a gap outside its plate does not pass, though the engine runs on it', () => {
    const tracer = new Tracer(machine({}, { 'points.gapMetres': given(0.38e-3, 0.46e-3) }), house);
    const gap = tracer.weigher.check('points-gap')!;
    expect(passes(tracer.weigher, gap, { kind: 'number', value: 0.42e-3 })).toBe(true);
    expect(passes(tracer.weigher, gap, { kind: 'number', value: 0.28e-3 })).toBe(false);
    expect(passes(tracer.weigher, gap, { kind: 'number', value: 0.55e-3 })).toBe(false);
  });
});

describe('against draws of whole machines', () => {
  const DRAWS = 300;
  it.each([
    ['twelve volts', machine()],
    ['six volts, positive earth', machine({ volts: 6, earth: 'positive', cylinders: 4, ballast: 'none' })],
  ])('%s: nearly all of them read within the band, and the band is no wider than they spread', (_name, body) => {
    const { model, of } = bandsOf(body);
    const random = seededRandom(7);
    const scenes = Array.from({ length: DRAWS }, () => new Scene(model.machine, drawSound(model, random)));
    const read = ['coil-feed-closed', 'coil-minus-closed', 'switch-volts', 'points-drop', 'battery-cranking'];
    for (const id of read) {
      const check = model.checks.find((c) => c.id === id);
      if (!check) continue;
      const values = scenes.map((scene) => {
        const seen = INSTRUMENTS[check.instrument].observe(scene, check);
        return seen.kind === 'number' ? seen.value : NaN;
      });
      const { low, high } = of(id);
      const within = values.filter((v) => v >= low && v <= high).length / DRAWS;
      expect(within, id).toBeGreaterThan(0.96);
      // Even draws twice over: a figure's spread is 0.41 of its half width, so the band is about ±2.4 of them.
      const mean = values.reduce((a, b) => a + b, 0) / DRAWS;
      const spread = Math.sqrt(values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / DRAWS);
      expect((high - low) / 2 / spread, id).toBeGreaterThan(1.9);
      expect((high - low) / 2 / spread, id).toBeLessThan(3.2);
    }
  });
});
