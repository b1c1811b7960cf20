import { describe, expect, it } from 'vitest';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { Tracer } from './trace.ts';
import { judge, repairShares } from './verdict.ts';
import type { House } from '../schema/house.ts';

const events = [reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01)];

describe('enough: fix it', () => {
  it('a shop that wants to be surer asks more', () => {
    const easy = new Tracer(machine(), { ...house, sureness: 0.8 });
    const strict = new Tracer(machine(), { ...house, sureness: 0.999 });
    const asked = (tracer: Tracer): number => {
      const trail = [
        reading('coil-feed-closed', 0.01),
        reading('ballast-volts', 12.4),
        reading('ballast-ohms', 'OL'),
        reading('look-ballast', 'burnt'),
        reading('coil-feed-open', 0.01),
      ];
      for (let n = 1; n <= trail.length; n++)
        if (tracer.trace(noFire, trail.slice(0, n), failing).verdict.kind === 'fix') return n;
      return Infinity;
    };
    expect(asked(easy)).toBeLessThanOrEqual(asked(strict));
    expect(asked(easy)).toBeLessThan(Infinity);
  });
  it('shares of repairs are at most one each, and a repair of several ways of failing has their sum', () => {
    const tracer = new Tracer(machine(), house);
    const belief = tracer.belief(noFire, []);
    const shares = repairShares(tracer.model, belief, house);
    for (const s of shares) expect(s.share).toBeLessThanOrEqual(1);
    const set = shares.find((s) => s.repair.id === 'points.set')!.share;
    const parts = ['points.closed-up', 'points.parted'].map((id) =>
      belief.weighed.filter((w) => w.remaining.some((f) => f.id === id)).reduce((s, w) => s + w.mass, 0),
    );
    expect(set).toBeCloseTo(parts[0]! + parts[1]!, 6);
  });
  it('the shop’s own minutes and money are what a repair costs', () => {
    const own = { ...house, ratePerHour: 60, repairs: { 'ballast.replace': { minutes: 30, money: 100 } } };
    const tracer = new Tracer(machine(), own);
    const found = repairShares(tracer.model, tracer.belief(noFire, events), own).find(
      (s) => s.repair.id === 'ballast.replace',
    )!;
    expect(found.cost).toBeCloseTo(130, 9);
  });
  it('figures for the first cylinder’s plug serve the others', () => {
    const tracer = new Tracer(
      machine({}, { 'plug-1.gapMetres': { low: 0.9e-3, high: 1e-3, source: 'manual', note: '' } }),
      { ...house, repairs: { 'plug-1.replace': { minutes: 3, money: 2 } } },
    );
    expect(tracer.model.plates.get('plug-5.gapMetres')).toMatchObject({ low: 0.9e-3, source: 'manual' });
    expect(tracer.model.repairs.get('plug-5.replace')).toMatchObject({ minutes: 3, money: 2 });
  });
});

describe('when asking further is not the answer', () => {
  const tracer = new Tracer(machine(), house);
  it('with nothing left to ask, what is likely for its cost is tried first; dear, it waits', () => {
    const none = [reading('spark-coil-lead', 'none')];
    const left = (repairs: House['repairs']) => {
      const own = { ...house, ratePerHour: 60, repairs };
      const t = new Tracer(machine(), own);
      const belief = t.belief(noFire, none);
      const verdict = judge(t.model, belief, own, [], () => new Map());
      if (verdict.kind !== 'fix') throw new Error(verdict.kind);
      return { ...verdict, shares: repairShares(t.model, belief, own) };
    };
    const first = left({});
    expect(first).toMatchObject({ why: 'likeliest left' });
    // Four minutes to try it again, at a rate of one a minute; nothing under a tenth is tried on the chance.
    const worth = first.shares.filter((s) => s.share >= 0.1).map((s) => s.share / (s.cost + 4));
    expect(worth.length).toBeGreaterThan(1);
    const own = first.shares.find((s) => s.repair.id === first.repair.id)!;
    expect(own.share / (own.cost + 4)).toBe(Math.max(...worth));
    expect(left({ [first.repair.id]: { minutes: 300, money: 900 } }).repair.id).not.toBe(first.repair.id);
  });
  it('a figure that no sound machine shows, read twice, is not called a slip and the machine sound', () => {
    // Everything that a battery feeds works, and it stands at seven volts as it cranks: read once it may be a slip.
    const well = [
      reading('spark-every', 'good on all'),
      reading('spark-known-lead', 'good'),
      reading('spark-known-condenser', 'good'),
      reading('strap-drop', 0.07),
      reading('clamp-drop', 0.08),
      reading('battery-rest', 12.7),
      reading('coil-feed-cranking', 10.4),
      reading('fuse-volts', 12.5),
    ];
    const hard = { ...noFire, symptom: 'hard-start' } as const;
    const verdict = (...volts: number[]) =>
      tracer.trace(hard, [...volts.map((v) => reading('battery-cranking', v)), ...well], failing).verdict.kind;
    expect(verdict(6.9, 6.95)).not.toBe('sound');
    expect(verdict(10.6, 10.6)).toBe(verdict(10.6));
  });
  it('contradictions are said: readings that no fault gives', () => {
    const nonsense = [
      reading('battery-rest', 3),
      reading('fuse-volts', 14),
      reading('coil-feed-closed', 19),
      reading('ballast-ohms', 900),
      reading('coil-primary', 250),
      reading('points-gap', 3e-3),
    ];
    expect(tracer.trace(noFire, nonsense, failing).verdict.kind).toBe('outside');
  });
  it('after the right repair nothing is left but to prove it', () => {
    const done = [
      ...events,
      reading('ballast-ohms', 'OL'),
      fix('ballast.replace'),
      reading('coil-feed-closed', 6.1),
      reading('spark-every', 'good on all'),
    ];
    // Whatever was measured: the engine itself is asked before it is called mended.
    const untried = tracer.trace(noFire, done, failing);
    expect(untried.verdict.kind).toBe('check');
    expect(untried.ranked[0]!.check.id).toBe('try-it');
    const trace = tracer.trace(noFire, [...done, reading('try-it', 'runs even')], failing);
    expect(trace.verdict.kind).toBe('sound');
    expect(trace.sound).toBeGreaterThan(0.98);
    expect(trace.ranked.map((r) => r.check.id)).not.toContain('try-it');
  });
  it('after the wrong repair the suspect is still there', () => {
    const done = [...events, reading('ballast-ohms', 'OL'), fix('coil.replace'), reading('coil-feed-closed', 0.01)];
    const trace = tracer.trace(noFire, done, failing);
    expect(trace.suspects[0]!.fault.id).toBe('ballast.open');
    expect(trace.suspects[0]!.share).toBeGreaterThan(0.9);
  });
});

describe('evidence', () => {
  const tracer = new Tracer(machine(), house);
  it('points the way the belief moved', () => {
    const { suspects } = tracer.trace(
      noFire,
      [reading('points-drop', 5), reading('look-points', 'burnt or dirty')],
      failing,
    );
    expect(suspects[0]!.fault.id).toBe('points.burnt');
    for (const e of suspects[0]!.evidence) expect(e.decades).toBeGreaterThan(0);
    const coil = tracer
      .trace(noFire, [reading('coil-primary', 1.5)], failing)
      .suspects.find((s) => s.fault.id === 'points.burnt')!;
    expect(coil.evidence.every((e) => Math.abs(e.decades) < 1)).toBe(true);
  });
});
