import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';
import { failing, fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { seededRandom } from '../random/lcg.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { blameOf } from './blame.ts';
import { soundShare } from './counting.ts';
import { grow, type Base } from './growing.ts';
import { companionChance, singles } from './hypotheses.ts';
import type { ModelFault } from './model.ts';
import { faultShares, presentShares } from './suspects.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const { model } = tracer;
const fault = (id: string, of = model): ModelFault => of.faults.find((f) => f.id === id)!;

/** What is seen on old machines, more than one thing of it wrong: what leads, and what must not be lost. From shops. */
interface Seen {
  readonly on: Tracer;
  readonly complaint: Complaint;
  readonly events: readonly JobEvent[];
  /** Any of these may lead: each brings it in. */
  readonly leads: readonly string[];
  readonly there: readonly string[];
}
const fuelled = new Tracer(FUELLED['mechanical pump, breaker points']!, house);
const charged = new Tracer(CHARGED['alternator with a lamp']!, house);
const CASES: Readonly<Record<string, Seen>> = {
  'a rotor’s tip seen gone, then points that drop four volts': {
    on: tracer,
    complaint: noFire,
    events: [
      reading('spark-every', 'none at all'),
      reading('look-rotor', 'tip burnt short'),
      reading('points-drop', 4),
      reading('look-points', 'burnt or dirty'),
    ],
    leads: ['points.dress'],
    there: ['points.dress', 'rotor.replace'],
  },
  'a filter found blocked, and a float found heavy': {
    on: fuelled,
    complaint: { ...noFire, symptom: 'no-pull', also: 'floods' },
    events: [
      reading('fuel-filter-look', 'blocked'),
      reading('fuel-can', 0.6e-4),
      reading('fuel-drips', 'drips or runs'),
      reading('fuel-float-look', 'heavy'),
    ],
    leads: ['fuel-filter.renew', 'fuel-float.renew'],
    there: ['fuel-filter.renew', 'fuel-float.renew'],
  },
  'two complaints with a reason each': {
    on: charged,
    complaint: { ...noFire, also: 'no-charge' },
    events: [
      reading('charge-belt', 'slack'),
      reading('charge-fast', 12.3),
      reading('spark-coil-lead', 'none'),
      reading('look-points', 'burnt or dirty'),
      reading('points-drop', 5),
    ],
    leads: ['points.dress', 'belt.tighten'],
    there: ['points.dress', 'belt.tighten'],
  },
};

describe('several things wrong at once', () => {
  it.each(Object.entries(CASES))('%s: neither is lost, and neither is something unknown', (_name, seen) => {
    const { on, complaint, events, leads, there } = seen;
    const belief = on.belief(complaint, events);
    const shares = new Map<string, number>();
    for (const [f, share] of presentShares(belief)) shares.set(f.repairId, (shares.get(f.repairId) ?? 0) + share);
    for (const id of there) expect(shares.get(id), id).toBeGreaterThan(0.3);
    expect(belief.outside).toBeLessThan(0.05);
    const trace = on.trace(complaint, events, failing);
    expect(leads).toContain(trace.lines[0]!.repair.id);
    expect(trace.verdict.kind).not.toBe('outside');
  });
  it('a fact stays when something else turns out to be why it was brought in', () => {
    const seen = [reading('look-cap', 'tracked'), reading('look-cap', 'tracked')];
    const events = [
      ...seen,
      reading('coil-feed-closed', 0),
      reading('ballast-ohms', 'OL'),
      reading('ballast-volts', 12.4),
    ];
    const belief = tracer.belief(noFire, events);
    const present = presentShares(belief);
    // To earth or from tower to tower: the eye does not tell, and it is one cap.
    const tracks = ['cap.tracked', 'cap.towers'].reduce((sum, id) => sum + (present.get(fault(id)) ?? 0), 0);
    expect(tracks).toBeGreaterThan(0.75);
    expect(presentShares(belief).get(fault('ballast.open'))).toBeGreaterThan(0.8);
  });
  it('three things seen are three things wrong', () => {
    const events = [
      reading('look-cap', 'tracked'),
      reading('points-drop', 5),
      reading('clamp-drop', 2),
      reading('look-clamps', 'clamp bad'),
      reading('look-points', 'burnt or dirty'),
      reading('look-cap', 'tracked'),
    ];
    const belief = tracer.belief(noFire, events);
    const there = presentShares(belief);
    for (const id of ['cap.tracked', 'points.burnt', 'live-clamp.corroded'])
      expect(there.get(fault(id)), id).toBeGreaterThan(0.6);
    expect(Math.max(...belief.weighed.map((w) => w.faults.length))).toBeGreaterThanOrEqual(3);
    expect(belief.outside).toBeLessThan(0.05);
  });
  it('where nothing is left unexplained no second fault is made up', () => {
    const events = [reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01), reading('ballast-ohms', 'OL')];
    const [best] = [...tracer.belief(noFire, events).weighed].sort((a, b) => b.mass - a.mass);
    expect(best!.faults.map((f) => f.id)).toEqual(['ballast.open']);
  });
});

describe('what accounts for the complaint', () => {
  const share: Readonly<Record<string, number>> = { 'points.burnt': 0.8, 'plugs.wide': 0.08, 'belt.slack': 0 };
  const brings = (f: ModelFault, told: Complaint) =>
    told.symptom === 'no-charge' ? Number(f.id === 'belt.slack') * 0.7 : (share[f.id] ?? 0);
  it('of one fault all of it; of two what each brings against the other', () => {
    expect(blameOf([fault('plugs.wide')], undefined, noFire, brings)).toEqual([1]);
    const [points, plugs] = blameOf([fault('points.burnt'), fault('plugs.wide')], undefined, noFire, brings);
    expect(points).toBe(1);
    expect(plugs).toBeCloseTo(0.1, 9);
  });
  it('of two symptoms each fault may account for its own', () => {
    const belt = { ...fault('points.burnt'), id: 'belt.slack' };
    const both = blameOf([fault('points.burnt'), belt], undefined, { ...noFire, also: 'no-charge' }, brings);
    expect(both).toEqual([1, 1]);
  });
  it('what is there besides something on a trail that nobody told accounts for little', () => {
    const [plugs] = blameOf([fault('plugs.wide')], 'fuel', noFire, brings);
    expect(plugs).toBeLessThan(0.3);
  });
  it('what runs even after a repair is cured of it, whatever else may be slight', () => {
    const done = [reading('points-drop', 6), reading('look-points', 'burnt or dirty'), fix('points.dress')];
    const tried = tracer.belief(noFire, [...done, reading('try-it', 'runs even')]);
    expect(soundShare(tried)).toBeGreaterThan(0.98);
    expect(Math.max(0, ...faultShares(tried).values())).toBeLessThan(0.02);
    const still = tracer.belief(noFire, [...done, reading('try-it', 'does not fire')]);
    expect(soundShare(still)).toBeLessThan(0.9);
  });
});

describe('accounts that grow', () => {
  it('are those of a full search over every base and every fault', () => {
    const random = seededRandom(9);
    const rows = 5;
    const row = () => Float64Array.from({ length: rows }, () => 9 * random() - 7);
    const alone = new Map(model.faults.map((f) => [f, row()]));
    const bases: Base[] = singles(model, noFire).map((h) => ({
      h,
      log: Math.log(h.prior) + alone.get(h.faults[0]!)!.reduce((a, b) => a + b, 0),
    }));
    const grown = grow(model, noFire, bases, 0, alone, (faults) => alone.get(faults[0]!)!);
    // By hand: the same hope, summed over every pair of the best forty with every fault.
    const best = [...bases].sort((a, b) => b.log - a.log).slice(0, 40);
    const chanceOf = companionChance(model, noFire);
    const hopes = new Map<string, number>();
    for (const { h, log } of best)
      for (const [f, says] of alone) {
        if (f.part.id === h.faults[0]!.part.id) continue;
        const own = alone.get(h.faults[0]!)!;
        const gain = says.reduce((sum, s, k) => sum + Math.max(0, s - own[k]!), Math.log(chanceOf(f, h.faults)));
        const key = [f.id, h.faults[0]!.id].sort().join('+');
        if (gain >= -2) hopes.set(key, Math.max(hopes.get(key) ?? -Infinity, log + gain));
      }
    const wanted = [...hopes]
      .filter(([, hope]) => hope >= best[0]!.log - 6)
      .sort((a, b) => b[1] - a[1])
      .slice(0, grown.length)
      .map(([key]) => key);
    expect(grown.length).toBeGreaterThan(0);
    expect(grown.map(({ h }) => h.id)).toEqual(wanted);
  });
});
