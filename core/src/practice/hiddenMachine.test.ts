import { describe, expect, it } from 'vitest';
import { INSTRUMENTS } from '../instruments/index.ts';
import { seededRandom } from '../random/lcg.ts';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { house, machine } from '../__tests__/machines.ts';
import { Tracer } from '../tracing/trace.ts';
import { passes } from '../tracing/ruler.ts';
import { HiddenMachine, someHands } from './hiddenMachine.ts';

const tracer = new Tracer(machine(), house);
const { model, weigher } = tracer;
const check = (id: string) => weigher.check(id)!;
const fault = (id: string) => model.faults.find((f) => f.id === id)!;

describe('a hidden machine', () => {
  it('is the same machine for the same seed', () => {
    const read = () => {
      const m = new HiddenMachine(model, [fault('points.burnt')], seededRandom(5));
      return model.checks.map((c) => m.read(c));
    };
    expect(read()).toEqual(read());
  });
  it('shows each reading with the meter’s own error, no more', () => {
    const hidden = new HiddenMachine(model, [], seededRandom(9));
    const values = Array.from({ length: 400 }, () => hidden.read(check('battery-rest'))).map((v) =>
      v.kind === 'number' ? v.value : NaN,
    );
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const sd = Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length);
    expect(sd / INSTRUMENTS.voltmeter.error(mean)).toBeGreaterThan(0.85);
    expect(sd / INSTRUMENTS.voltmeter.error(mean)).toBeLessThan(1.15);
  });
  it('sound, it passes nearly every check; that is what a band is for', () => {
    let [passed, all] = [0, 0];
    for (let seed = 0; seed < 30; seed++) {
      const hidden = new HiddenMachine(model, [], seededRandom(seed));
      for (const c of model.checks) {
        all++;
        if (passes(weigher, c, hidden.read(c))) passed++;
      }
    }
    expect(passed / all).toBeGreaterThan(0.96);
  });
  it('slips its probe as often as it is told to', () => {
    const hidden = new HiddenMachine(model, [], seededRandom(3), { misprobe: 0.3 });
    const readings = Array.from({ length: 600 }, () => hidden.read(check('battery-rest')));
    const slipped = readings.filter((v) => v.kind !== 'number' || v.value < 5).length / readings.length;
    expect(slipped).toBeGreaterThan(0.24);
    expect(slipped).toBeLessThan(0.36);
  });
  it('slips with the eyes as often as it is told for them', () => {
    const hidden = new HiddenMachine(model, [], seededRandom(3), { misprobe: 0.5, mistold: 0 });
    const seen = Array.from({ length: 300 }, () => hidden.read(check('look-clamps')));
    const sure = check('look-clamps').words!.length;
    expect(seen.filter((v) => v.kind === 'word' && v.word === 'sound').length / 300).toBeGreaterThan(1 - 0.5 / sure);
  });
  it('misreads a feeler as seldom as it is told for what has no leads', () => {
    const hidden = new HiddenMachine(model, [], seededRandom(3), { misprobe: 0.5, misread: 0.01 });
    const gaps = Array.from({ length: 300 }, () => hidden.read(check('points-gap')));
    const near = gaps.filter((v) => v.kind === 'number' && v.value > 0.25e-3 && v.value < 0.6e-3).length / 300;
    expect(near).toBeGreaterThan(0.95);
  });
  it('is read by careful hands mostly', () => {
    const random = seededRandom(6);
    const clumsy = Array.from({ length: 4000 }, () => someHands(random)).filter((h) => h.misprobe > 0.1).length / 4000;
    expect(clumsy).toBeCloseTo(0.08, 1.5);
  });
  it('never shows less than nothing on an ohmmeter', () => {
    const hidden = new HiddenMachine(model, [fault('condenser.shorted')], seededRandom(2));
    for (let i = 0; i < 200; i++) {
      const v = hidden.read(check('points-line-to-earth'));
      if (v.kind === 'number') expect(v.value).toBeGreaterThanOrEqual(0);
    }
  });
  it('lets a clamp show what flows the other way: a battery that is emptied as it runs', () => {
    const charged = new Tracer(CHARGED['alternator with a lamp']!, house);
    const dead = charged.model.faults.find((f) => f.id === 'charge-regulator.dead')!;
    const hidden = new HiddenMachine(charged.model, [dead], seededRandom(3));
    const v = hidden.read(charged.weigher.check('charge-takes')!);
    expect(v.kind === 'number' && v.value).toBeLessThan(-0.05);
  });
});

describe('chance', () => {
  it('is even over [0, 1) and repeats with its seed', () => {
    const random = seededRandom(42);
    const values = Array.from({ length: 10_000 }, random);
    expect(Math.min(...values)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...values)).toBeLessThan(1);
    const tenths = Array.from({ length: 10 }, (_, i) => values.filter((v) => Math.floor(v * 10) === i).length);
    for (const n of tenths) expect(Math.abs(n - 1000)).toBeLessThan(130);
    const again = seededRandom(42);
    expect(Array.from({ length: 10_000 }, again)).toEqual(values);
  });
});
