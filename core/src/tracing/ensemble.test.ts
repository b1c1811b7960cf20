import { describe, expect, it } from 'vitest';
import { fromRuler, INSTRUMENTS, toRuler } from '../instruments/index.ts';
import { BREATHING } from '../__tests__/breathingMachines.ts';
import { house, machine, noFire, reading } from '../__tests__/machines.ts';
import { memberWeights, MEMBERS, STRATA } from './ensemble.ts';
import { Scene } from '../machine/scene.ts';
import { seededRandom } from '../random/lcg.ts';
import type { ReadingValue } from '../schema/job.ts';
import { likelihood, misses, rulerWidth, TOUCHES_NOTHING, unclaimed } from './likelihood.ts';
import { alike } from './prediction.ts';
import { passes, ruler } from './ruler.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const { weigher, model } = tracer;
const fault = (id: string) => model.faults.find((f) => f.id === id)!;
const check = (id: string) => weigher.check(id)!;

describe('machines that stand for a hypothesis', () => {
  it('speak for each step of severity, in shares that sum to one', () => {
    for (const id of ['points.burnt', 'fuse.blown']) {
      const { strata, graded } = weigher.ensemble([fault(id)]);
      expect(graded).toBe(id === 'points.burnt');
      expect(strata).toHaveLength(STRATA);
      for (const share of strata) expect(share.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    }
  });
  it('a mild step is spoken for by mild members', () => {
    const { strata } = weigher.ensemble([fault('points.burnt')]);
    const centre = (share: Float64Array) => share.reduce((sum, w, m) => sum + w * m, 0);
    const centres = strata.map(centre);
    expect(centres).toEqual([...centres].sort((a, b) => a - b));
    const weights = memberWeights(weigher.ensemble([fault('points.burnt')]), Float64Array.of(1, 0, 0, 0));
    expect(weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    expect(centre(weights)).toBeLessThan(MEMBERS / 3);
  });
  it('a fault that cannot change a reading shares the sound machine’s prediction', () => {
    const sound = weigher.ensemble([]).predict(check('coil-primary'));
    expect(weigher.ensemble([fault('ballast.open')]).predict(check('coil-primary'))).toBe(sound);
    expect(weigher.ensemble([fault('coil.primary-open')]).predict(check('coil-primary'))).not.toBe(sound);
    expect(weigher.ensemble([fault('plugs.fouled')]).predict(check('battery-cranking'))).toBe(
      weigher.ensemble([]).predict(check('battery-cranking')),
    );
  });
  it('read worse the worse the fault is', () => {
    const p = weigher.ensemble([fault('points.burnt')]).predict(check('points-drop'));
    if (p.kind !== 'number') throw new Error();
    const values = [...p.at].map((u) => fromRuler(u, 'voltage'));
    expect(values[MEMBERS - 1]!).toBeGreaterThan(values[0]!);
    for (const w of p.width) expect(w).toBeGreaterThan(0);
  });
});

describe('two faults, of which each reading takes what only one of them can change from the machine with that one', () => {
  const { model: whole, weigher: own } = new Tracer(BREATHING['with spark, fuel and timing']!, house);
  const random = seededRandom(3);
  const any = () => whole.faults[Math.floor(random() * whole.faults.length)]!;
  const pairs = Array.from({ length: 30 }, () => [any(), any()] as const).filter(([a, b]) => a.part.id !== b.part.id);

  it('read as the machine with both does, solved anew without sharing anything', () => {
    let [asked, unlike] = [0, 0];
    pairs.forEach(([a, b], k) => {
      const member = k % MEMBERS;
      // The second takes its severities in the order of the pair, so both are put in as the ensemble has them.
      const shared = own.ensemble([a, b]).scene(member);
      const anew = new Scene(whole.machine, shared.params);
      for (const c of whole.checks) {
        const [x, y] = [shared, anew].map((s) => INSTRUMENTS[c.instrument].observe(s, c));
        asked++;
        if (!alike(c, x!, y!)) unlike++;
      }
    });
    expect(pairs.length).toBeGreaterThan(20);
    expect(asked).toBeGreaterThan(2000);
    // Two drops in one line add up a little: a few readings in a thousand lie beside, none far.
    expect(unlike / asked).toBeLessThan(8e-3);
  });
});

describe('how likely a reading is', () => {
  const drop = check('points-drop');
  const sound = weigher.ensemble([]).predict(drop);
  it('integrates to about one over the ruler, the stray part included', () => {
    if (sound.kind !== 'number') throw new Error();
    const width = rulerWidth('voltage');
    let sum = 0;
    const step = 0.002;
    for (let u = -width / 2; u < width / 2; u += step)
      sum += likelihood(drop, sound, { kind: 'number', value: fromRuler(u, 'voltage') }, 0).total * step;
    expect(sum).toBeCloseTo(1, 1);
  });
  it('of words sums to one', () => {
    const lamp = check('lamp-cranking');
    const p = weigher.ensemble([]).predict(lamp);
    const sum = lamp.words!.reduce((s, word) => s + likelihood(lamp, p, { kind: 'word', word }, 0).total, 0);
    expect(sum).toBeCloseTo(1, 6);
  });
  it('never falls to nothing: a slipped probe is always possible', () => {
    for (const value of [{ kind: 'number', value: -40 }, { kind: 'open' }, { kind: 'number', value: 12 }] as const) {
      const { total, straying } = likelihood(drop, sound, value, 0);
      expect(total).toBeGreaterThan(0);
      expect(straying).toBeCloseTo(misses(drop) * (1 - TOUCHES_NOTHING) * unclaimed(drop, value), 12);
    }
  });
  it('takes a slip mostly for leads that touch nothing: 0 V, or OL where the meter has it', () => {
    const straying = (id: string, value: ReadingValue) =>
      likelihood(check(id), weigher.ensemble([]).predict(check(id)), value, 0).straying;
    expect(straying('fuse-volts', { kind: 'number', value: 0 })).toBeGreaterThan(
      10 * straying('fuse-volts', { kind: 'number', value: 6 }),
    );
    expect(straying('coil-primary', { kind: 'open' })).toBeGreaterThan(0.5 * misses(check('coil-primary')));
    expect(straying('coil-primary', { kind: 'open' })).toBeGreaterThan(
      10 * straying('coil-primary', { kind: 'number', value: 0 }),
    );
  });
  it('without leads a slip lies anywhere: no leaf of a feeler gauge shows nothing because it touches nothing', () => {
    const gap = check('points-gap');
    const straying = (metres: number) =>
      likelihood(gap, weigher.ensemble([]).predict(gap), { kind: 'number', value: metres }, 0).straying;
    expect(straying(0)).toBe(straying(0.4e-3));
    expect(misses(gap)).toBeLessThan(misses(drop));
  });
  it('near the end of a meter’s range is OL on some days and a number on others', () => {
    const shares = (ohms: number) => {
      const band = { low: ohms * 0.7, high: ohms * 1.3, source: 'manual', note: '' } as const;
      const near = new Tracer(machine({}, { 'plug-1.shuntOhms': band }), house).weigher;
      const p = near.ensemble([]).predict(near.check('plug-1-ohms')!);
      return p.kind === 'number' ? p.open.reduce((a, b) => a + b, 0) / p.open.length : NaN;
    };
    const limit = INSTRUMENTS.ohmmeter.limit!;
    // Insulation beyond its range now and then shows some megohms all the same.
    expect(shares(limit * 30)).toBeGreaterThan(0.9);
    expect(shares(limit / 30)).toBeLessThan(0.01);
    expect(shares(limit)).toBeGreaterThan(0.4);
    expect(shares(limit)).toBeLessThan(0.9);
  });
  it('is all stray when the kind of reading is impossible', () => {
    const { total, straying } = likelihood(drop, sound, { kind: 'word', word: 'bright' }, 0);
    expect(total).toBe(straying);
  });
});

describe('the ruler', () => {
  it('puts the sound band where the sound machine reads, and suspects where they do', () => {
    const r = ruler(weigher, check('coil-feed-closed'), [fault('ballast.open'), fault('points.burnt')]);
    expect(r.dimension).toBe('voltage');
    expect(r.well.low).toBeGreaterThan(5);
    expect(r.well.high).toBeLessThan(7.5);
    expect(r.suspects[0]!.high).toBeLessThan(0.2);
    expect(r.suspects[1]!.low).toBeGreaterThan(r.well.low);
    expect(r.suspects.map((s) => s.label)).toEqual(['Ballast resistor burnt out', 'Points burnt or dirty']);
  });
  it('says OL where the meter would', () => {
    const r = ruler(weigher, check('ballast-ohms'), [fault('ballast.open'), fault('ballast.bypassed')]);
    expect(r.suspects[0]).toMatchObject({ openShare: 1 });
    expect(r.suspects[1]!.openShare).toBe(0);
    expect(r.suspects[1]!.high).toBeLessThan(r.well.low);
  });
  it('answers checks in words by shares', () => {
    const r = ruler(weigher, check('spark-coil-lead'), [fault('condenser.shorted')]);
    expect(r.dimension).toBeNull();
    expect(r.words).toEqual(['none', 'weak', 'good']);
    expect(r.well.words['good']).toBeGreaterThan(0.9);
    expect(r.suspects[0]!.words['good'] ?? 0).toBeLessThan(0.1);
  });
  it('passes what lies within the band and nothing else', () => {
    const { well } = ruler(weigher, check('battery-rest'), []);
    const pass = (value: number) => passes(weigher, check('battery-rest'), { kind: 'number', value });
    expect(pass((well.low + well.high) / 2)).toBe(true);
    expect(pass(well.low - 0.3)).toBe(false);
    expect(pass(well.high + 0.3)).toBe(false);
    expect(passes(weigher, check('condenser-insulation'), { kind: 'open' })).toBe(true);
    expect(passes(weigher, check('coil-primary'), { kind: 'open' })).toBe(false);
  });
  it('is read on a scale that keeps small drops and large voltages apart', () => {
    const apart = (a: number, b: number) => toRuler(b, 'voltage') - toRuler(a, 'voltage');
    expect(apart(0.05, 0.2)).toBeGreaterThan(apart(12, 12.6));
    expect(INSTRUMENTS.voltmeter.error(12) / 12).toBeLessThan(0.005);
  });
});

it('the same readings in a corrected job and in a clean one give the same stations', () => {
  const wrong = reading('battery-rest', 3);
  if (wrong.type !== 'reading') throw new Error();
  const states = (events: Parameters<Tracer['trace']>[1]) =>
    tracer.trace(noFire, events, { warmth: 'unknown', faultPresent: 'yes' }).stations.map((s) => s.state);
  expect(states([wrong, reading('battery-rest', 12.5, { supersedes: wrong.reading.id })])).toEqual(
    states([reading('battery-rest', 12.5)]),
  );
});
