import { describe, expect, it } from 'vitest';
import { FUELLED } from '../../__tests__/fuelMachines.ts';
import { house } from '../../__tests__/machines.ts';
import { complaintLikelihood } from '../../engine/complaint.ts';
import { smokeOf } from '../../engine/exhaust.ts';
import { Scene } from '../../machine/scene.ts';
import { IDLE } from '../../machine/state.ts';
import type { SymptomId } from '../../schema/symptoms.ts';
import { withFault } from '../../tracing/draw.ts';
import { middleFigures } from '../../tracing/middle.ts';
import { buildModel } from '../../tracing/model.ts';
import { drinks, feedOf } from './feeding.ts';
import { drownsIn } from './flooding.ts';
import { figuresAt, withFigures } from '../../machine/figures.ts';

const model = buildModel(FUELLED['mechanical pump, breaker points']!, house);
const { fit } = model.machine;
const sound = middleFigures(model);
const DEGREES = Array.from({ length: 40 }, (_, k) => (k + 0.5) / 40);
const scenes = (id: string) => {
  const fault = model.faults.find((f) => f.id === id)!;
  return DEGREES.map((s) => new Scene(model.machine, withFault(model, sound, fault, s)));
};
const brings = (scene: Scene, symptom: SymptomId) =>
  complaintLikelihood(scene, { symptom, pattern: 'constant', words: '', since: '', before: '' });

describe('what floods does so by degrees', () => {
  it.each(['fuel-needle.leaks', 'fuel-float.heavy'])(
    '%s: it drips or smokes before it no longer starts, and some degree of it does each',
    (id) => {
      const each = scenes(id).map((scene) => ({
        floods: brings(scene, 'floods') > 0.5,
        black: smokeOf(scene).black > 0.6,
        hard: brings(scene, 'hard-start') > 0.15,
        dead: brings(scene, 'no-fire') > 0.6,
      }));
      const first = (what: keyof (typeof each)[number]) => each.findIndex((e) => e[what]);
      for (const what of ['floods', 'black', 'hard', 'dead'] as const) expect(first(what), what).toBeGreaterThan(0);
      expect(first('floods')).toBeLessThan(first('dead'));
      expect(first('black')).toBeLessThan(first('dead'));
      // Of those that are brought in at all, a good part runs.
      const told = each.filter((e) => e.floods || e.dead);
      expect(told.filter((e) => !e.dead).length / told.length).toBeGreaterThan(0.2);
    },
  );
  it('what passes the seat is drunk as long as the engine asks for more', () => {
    // Past a hole of so many square metres at the pump’s pressure: Q = C·A·√(2p/ρ), solved for A.
    const feed = feedOf(sound);
    const holeFor = (flow: number) => flow / (0.7 * Math.sqrt((2 * (feed.head + feed.pump)) / 740));
    const leaking = (share: number) =>
      withFigures(sound, 'fuel-needle', {
        ...figuresAt(sound, 'fuel-needle'),
        leakSquareMetres: holeFor(share * drinks(fit, 'idle')),
      });
    expect(drownsIn(fit, leaking(0.9), feed, 'idle')).toBeLessThan(0.01);
    expect(drownsIn(fit, leaking(1.5), feed, 'idle')).toBeCloseTo(0.5, 1);
    expect(drownsIn(fit, leaking(2.1), feed, 'idle')).toBeGreaterThan(0.99);
    // Opened up it drinks four times as much.
    expect(drownsIn(fit, leaking(2.1), feed, 'fast')).toBeLessThan(0.01);
  });
  it('a sound one neither drips nor smokes', () => {
    const scene = new Scene(model.machine, sound);
    expect(scene.see('floods', IDLE) + scene.see('drowns', IDLE) + smokeOf(scene).black).toBeLessThan(0.01);
  });
});
