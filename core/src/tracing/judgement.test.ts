import { describe, expect, it } from 'vitest';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { follow } from '../practice/follow.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import type { Complaint, Conditions } from '../schema/job.ts';
import { partCelsius, showsAt, soak, SOAK_MINUTES } from './heat.ts';
import { likelyComplaint } from './likelyComplaint.ts';
import { choose, type Policy } from './policies.ts';
import { shows } from './presence.ts';
import { Tracer } from './trace.ts';

const hot: Complaint = { ...noFire, symptom: 'dies', pattern: 'hot' };
const at = (minutes: number, faultPresent: Conditions['faultPresent'] = 'unknown'): Conditions => ({
  warmth: 'hot',
  faultPresent,
  soakMinutes: minutes,
});

describe('a soak', () => {
  it('warms as a body in still air: 63 % of its rise after one time constant, never beyond it', () => {
    expect(partCelsius(0)).toBe(20);
    expect((partCelsius(11) - 20) / 65).toBeCloseTo(1 - Math.exp(-1), 9);
    expect(partCelsius(500)).toBeCloseTo(85, 6);
  });
  it('is worth more the longer it lasts, and little at first', () => {
    const worth = [0, 5, 10, 20, 30].map((m) => soak(m).shows);
    expect([...worth].sort((a, b) => a - b)).toEqual(worth);
    expect(worth[0]).toBeLessThan(0.1);
    expect(soak(SOAK_MINUTES).shows).toBeGreaterThan(0.9);
    expect(soak(SOAK_MINUTES).passLeaves).toBeCloseTo(1 - soak(SOAK_MINUTES).shows, 12);
    expect(showsAt(57)).toBeCloseTo(0.485, 3);
  });
  it('counts by its minutes, whether or not it failed meanwhile; a constant fault needs none', () => {
    expect(shows(hot, at(25))).toBeGreaterThan(shows(hot, at(8)));
    expect(shows(hot, at(25, 'no'))).toBe(shows(hot, at(25)));
    expect(shows(hot, at(25, 'yes'))).toBe(1);
    expect(shows(noFire, at(0, 'unknown'))).toBe(1);
    expect(shows(hot, { warmth: 'hot', faultPresent: 'no' })).toBeLessThan(0.05);
  });
  it('makes a pass rule out what a cold pass leaves standing', () => {
    const tracer = new Tracer(machine(), house);
    const share = (now: Conditions) => {
      const passed = reading('spark-coil-lead', 'good', now);
      return tracer.trace(hot, [passed], now).suspects.find((s) => s.fault.id === 'coil.insulation')?.share ?? 0;
    };
    expect(share(at(25))).toBeLessThan(0.5 * share({ warmth: 'cold', faultPresent: 'no' }));
  });
  it('is offered where it would tell more than reading now, and only where heat brings the trouble on', () => {
    const tracer = new Tracer(machine(), house);
    const cold: Conditions = { warmth: 'cold', faultPresent: 'no' };
    const offered = tracer.trace(hot, [], cold).soak!;
    expect(offered.bitsAfter).toBeGreaterThan(2 * offered.bitsNow);
    expect(tracer.trace(noFire, [], failing).soak).toBeUndefined();
  });
});

describe('a dear part', () => {
  const fit = { layout: 'capacitor-discharge', cylinders: 3, compressionRatio: 7 } as const;
  const dear = new Tracer({ ...machine(fit), worth: 1000 }, house);
  const cheap = new Tracer({ ...machine(fit), worth: 1_000_000 }, house);
  const pack = dear.model.faults.find((f) => f.id === 'pack.dead')!;
  const witnesses = (tracer: Tracer, seed: number) => {
    const complaint = likelyComplaint(tracer, [pack]);
    const hidden = new HiddenMachine(tracer.model, [pack], seededRandom(seed));
    return { complaint, found: follow(tracer, complaint, hidden, { most: 40 }) };
  };
  it('is called guilty by two checks at least, whatever the first one said', () => {
    for (const seed of [1, 2, 3, 4]) {
      const { complaint, found } = witnesses(dear, seed);
      expect(found.named).toBe('pack.replace');
      const guilty = dear.trace(complaint, found.events, failing).suspects.find((s) => s.fault.id === 'pack.dead')!;
      expect(guilty.evidence.filter((e) => e.decades > 0.3).length).toBeGreaterThan(1);
    }
  });
  it('asks no less than where money does not matter, and says what would be lost', () => {
    for (const seed of [1, 2, 3])
      expect(witnesses(dear, seed).found.checks).toBeGreaterThanOrEqual(witnesses(cheap, seed).found.checks);
    // One witness, made as strong as it gets: the known-good module is not on this machine, so the stop is the price.
    const complaint = likelyComplaint(dear, [pack]);
    const events = [reading('charge-peak-loaded', 230), reading('trigger-peak-pack', 3), reading('pack-output-1', 0)];
    const { verdict } = dear.trace(complaint, events, failing);
    if (verdict.kind === 'second check') {
      expect(verdict.loss).toBe(260);
      expect(events.map((e) => e.type === 'reading' && e.reading.checkId)).not.toContain(verdict.check.id);
    } else expect(['check', 'fix']).toContain(verdict.kind);
  });
  it('is dear by the shop’s own limit where it has one', () => {
    const strict = new Tracer({ ...machine(fit), worth: 1_000_000 }, { ...house, dearFrom: 100 });
    const complaint = likelyComplaint(strict, [pack]);
    const hidden = new HiddenMachine(strict.model, [pack], seededRandom(2));
    expect(follow(strict, complaint, hidden, { most: 40 }).checks).toBe(witnesses(dear, 2).found.checks);
  });
});

describe('what would change my mind', () => {
  const tracer = new Tracer(machine(), house);
  const events = [reading('points-drop', 5), reading('battery-rest', 12.5)];
  it('names readings that really would: taken, they bring the leader down', () => {
    const { mindChangers, suspects } = tracer.trace(noFire, events, failing);
    expect(suspects[0]!.fault.id).toBe('points.burnt');
    expect(mindChangers.length).toBeGreaterThan(0);
    for (const m of mindChangers) {
      expect(m.share).toBeLessThan(0.5);
      const value =
        m.reading.kind === 'word'
          ? m.reading.word
          : m.reading.kind === 'open'
            ? ('OL' as const)
            : (m.reading.low + m.reading.high) / 2;
      const after = tracer.trace(noFire, [...events, reading(m.check.id, value)], failing);
      const share = after.suspects.filter((s) => s.repair.id === 'points.dress').reduce((sum, s) => sum + s.share, 0);
      expect(share, m.check.id).toBeLessThan(suspects[0]!.share);
    }
  });
});

describe('a contradiction', () => {
  it('points at the check that would settle the odd reading', () => {
    const tracer = new Tracer(machine(), house);
    // No feed at the coil, yet full volts beyond it and a good spark: one of them was a slip.
    const events = [
      reading('coil-feed-open', 0),
      reading('coil-minus-open', 12.4),
      reading('spark-coil-lead', 'good'),
      reading('switch-volts', 12.2),
    ];
    const found = tracer.trace(noFire, events, failing);
    expect(found.atOdds[0]?.readingId).toBe(events[0]!.type === 'reading' ? events[0]!.reading.id : '');
    expect(found.settles).toBeDefined();
  });
  it('is not seen where all agree', () => {
    const tracer = new Tracer(machine(), house);
    expect(tracer.trace(noFire, [reading('points-drop', 5)], failing).settles).toBeUndefined();
  });
});

describe('ways of walking a trail', () => {
  const tracer = new Tracer(machine(), house);
  const belief = tracer.belief(noFire, []);
  const ranked = tracer.rank(belief, noFire, failing);
  it('in order begins nearest the source, halving in the middle', () => {
    const place = (policy: Policy) => {
      const check = choose(policy, tracer.model, belief, ranked)!;
      return tracer.model.machine.stations.findIndex((s) => s.id === check.station);
    };
    expect(place('walk in order')).toBe(0);
    expect(place('halve')).toBeGreaterThan(3);
    expect(place('halve')).toBeLessThan(tracer.model.machine.stations.length - 3);
  });
  it('as the house has it: its check comes first, the others stay offered', () => {
    const walking = new Tracer(machine(), { ...house, policy: 'walk in order' });
    const order = walking.rank(belief, noFire, failing).map((r) => r.check.id);
    expect(order[0]).toBe(choose('walk in order', tracer.model, belief, ranked)!.id);
    expect([...order].sort()).toEqual(ranked.map((r) => r.check.id).sort());
  });
});
