import { describe, expect, it } from 'vitest';
import { CHARGED } from '../__tests__/chargeMachines.ts';
import { failing, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { Cells } from './cells.ts';
import { count, countTwo, information, outcomes, outcomeTable, soundShare, surest } from './counting.ts';
import type { Check } from '../trails/checks.ts';
import { minutesOf, rankChecks } from './nextCheck.ts';
import { follow } from '../practice/follow.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { drawFault } from '../practice/simulatedMeter.ts';
import { seededRandom } from '../random/lcg.ts';
import { SEES_AGAIN } from './repeated.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const { weigher, model } = tracer;
const cells = new Cells(weigher);
const charged = new Tracer(CHARGED['alternator, regulator apart, ammeter']!, house);
const counted = (events: Parameters<Tracer['belief']>[1]) =>
  count(weigher, tracer.belief(noFire, events), failing, noFire);

/** I(G;C) = Σ p(g,c)·log2(p(g,c)/(p(g)·p(c))), term by term over the whole table: the plain way. */
function byDefinition(table: ReadonlyMap<string, Float64Array>): number {
  const rows = [...table.values()];
  const total = rows.reduce((s, r) => s + r.reduce((a, b) => a + b, 0), 0);
  const width = rows[0]!.length;
  let bits = 0;
  for (const row of rows) {
    const pg = row.reduce((a, b) => a + b, 0) / total;
    for (let c = 0; c < width; c++) {
      const pc = rows.reduce((s, r) => s + r[c]!, 0) / total;
      const p = row[c]! / total;
      if (p > 0) bits += p * Math.log2(p / (pg * pc));
    }
  }
  return bits;
}

describe('expected information', () => {
  it('of the fast path is that of the definition, on every check, before and after readings', () => {
    for (const events of [
      [],
      [reading('coil-feed-closed', 6)],
      [reading('spark-coil-lead', 'none'), reading('battery-rest', 12.5)],
    ]) {
      const belief = counted(events);
      for (const check of model.checks)
        expect(information(cells, belief, check), check.id).toBeCloseTo(
          byDefinition(outcomeTable(cells, belief, check)),
          6,
        );
    }
  });
  it('is not fetched where the reading is known beforehand, while another check tells something', () => {
    const { model: own, weigher: weighs } = charged;
    const counts = new Cells(weighs);
    let proposals = 0;
    for (const seed of [1, 2, 3]) {
      const random = seededRandom(seed);
      const hidden = new HiddenMachine(own, [drawFault(own, random)], random);
      follow(charged, noFire, hidden, {
        most: 12,
        choose: (belief, ranked) => {
          const laidOut = count(weighs, belief, failing, noFire);
          const sure = (check: Check) => surest(outcomes(counts, laidOut, check)) > 0.98;
          const [first, ...others] = ranked;
          const other = others.find((o) => !sure(o.check));
          // What is nearly sound is sounded out.
          // And a glance that takes seconds still goes before what opens something.
          if (first && other && soundShare(belief) < 0.5 && other.check.opens.length === 0) {
            proposals++;
            expect(sure(first.check) && other.bitsPerMinute > first.bitsPerMinute / 10, first.check.id).toBe(false);
          }
          return first?.check;
        },
      });
    }
    expect(proposals).toBeGreaterThan(8);
  });
  it('of the checks in front counts faults that are there together as they read together', () => {
    const both = new Tracer(machine(), house);
    const own = new Cells(both.weigher);
    const told = [
      reading('spark-every', 'none at all'),
      reading('look-rotor', 'tip burnt short'),
      reading('points-drop', 4),
    ];
    const believed = both.belief(noFire, told);
    expect(believed.weighed.some((w) => w.remaining.length > 1 && w.mass > 0.05)).toBe(true);
    const all = count(both.weigher, believed, failing, noFire);
    const ranked = rankChecks(both.weigher, own, believed, all, new Set());
    for (const r of ranked.slice(0, 5)) expect(r.bits, r.check.id).toBeCloseTo(information(own, all, r.check), 9);
    // The rest is a first look, and not far off it.
    const off = ranked.map((r) => Math.abs(r.bits - information(own, all, r.check)));
    expect(Math.max(...off)).toBeLessThan(0.25);
    expect(off.reduce((a, b) => a + b, 0) / off.length).toBeLessThan(0.015);
  });
  it('is never below zero nor above what there is to know', () => {
    const belief = counted([]);
    const sizes = new Map<number, number>();
    for (const r of belief.rows) sizes.set(r.group, (sizes.get(r.group) ?? 0) + r.mass);
    const total = [...sizes.values()].reduce((a, b) => a + b, 0);
    const entropy = -[...sizes.values()].reduce((s, p) => s + (p / total) * Math.log2(p / total), 0);
    for (const check of model.checks) {
      const bits = information(cells, belief, check);
      expect(bits).toBeGreaterThanOrEqual(0);
      expect(bits).toBeLessThanOrEqual(entropy);
    }
  });
  it('is a whole bit between two accounts that never look alike, none between one and itself', () => {
    const of = (id: string) => weigher.ensemble([model.faults.find((f) => f.id === id)!]);
    const check = weigher.check('coil-primary')!;
    expect(information(cells, countTwo(of('coil.primary-open'), weigher.ensemble([])), check)).toBeGreaterThan(0.8);
    expect(information(cells, countTwo(of('points.burnt'), of('points.burnt')), check)).toBeCloseTo(0, 9);
  });
  it('rows of the table sum to the beliefs they stand for', () => {
    const belief = counted([reading('coil-minus-open', 12.5)]);
    const table = outcomeTable(cells, belief, weigher.check('points-drop')!);
    belief.groups.forEach((name, g) => {
      const mass = belief.rows.filter((r) => r.group === g).reduce((s, r) => s + r.mass, 0);
      expect(table.get(name)!.reduce((a, b) => a + b, 0)).toBeCloseTo(mass, 6);
    });
  });
});

describe('the choice', () => {
  it('does not offer what was done, counts what is open already', () => {
    const events = [reading('points-gap', 0.4e-3)];
    const belief = tracer.belief(noFire, events);
    const ranked = rankChecks(weigher, cells, belief, counted(events), new Set(['points-gap']));
    expect(ranked.map((r) => r.check.id)).not.toContain('points-gap');
    const drop = weigher.check('points-drop')!;
    expect(ranked.find((r) => r.check.id === 'points-drop')!.minutes).toBeCloseTo(drop.minutes, 9);
    expect(minutesOf(drop, new Set())).toBeGreaterThan(drop.minutes);
  });
  it('puts a check that tells nothing any more at the end', () => {
    const events = [reading('coil-primary', 1.5), reading('coil-secondary', 8000)];
    const trace = tracer.trace(noFire, events, failing);
    const place = (id: string) => trace.ranked.findIndex((r) => r.check.id === id);
    expect(place('points-drop')).toBeLessThan(place('plug-3-gap'));
  });
  it('offers a doubtful reading once more, a sound one not', () => {
    const agreeing = [
      reading('spark-coil-lead', 'good'),
      reading('coil-minus-closed', 0.25),
      reading('lamp-cranking', 'flashes'),
      reading('coil-minus-open', 12.5),
    ];
    const trace = tracer.trace(noFire, [...agreeing, reading('points-drop', 11.9)], failing);
    const offered = trace.ranked.map((r) => r.check.id);
    expect(offered).toContain('points-drop');
    expect(offered).not.toContain('coil-minus-open');
  });
});

describe('advice that a mechanic would take', () => {
  const asked = (events: Parameters<Tracer['belief']>[1]) =>
    tracer.rank(tracer.belief(noFire, events), noFire, failing);
  it('what has been read once is worth only what would be seen afresh', () => {
    const belief = tracer.belief(noFire, [reading('spark-coil-lead', 'none')]);
    const none = new Set<string>();
    const bits = (again: ReadonlySet<string>) =>
      rankChecks(weigher, cells, belief, counted([reading('spark-coil-lead', 'none')]), none, again).find(
        (r) => r.check.id === 'look-points',
      )!.bits;
    expect(bits(new Set(['look-points']))).toBeCloseTo((1 - SEES_AGAIN) * bits(none), 9);
  });
  it('before anything is opened, a quick look that tells something goes first', () => {
    for (const events of [
      [],
      [reading('spark-coil-lead', 'none')],
      [reading('spark-coil-lead', 'none'), reading('lamp-cranking', 'lit steadily')],
      [reading('spark-coil-lead', 'good'), reading('spark-plug-lead', 'none')],
    ]) {
      const ranked = asked(events);
      if (ranked[0]!.check.opens.length === 0 || ranked[0]!.check.look) continue;
      const quick = ranked.filter((r) => r.check.look && r.check.opens.length === 0 && r.minutes < 1 && r.bits > 0.03);
      expect(quick.map((r) => r.check.id)).toEqual([]);
    }
    const order = asked([reading('spark-coil-lead', 'none')]).map((r) => r.check.id);
    expect(new Set(order).size).toBe(order.length);
  });
  it('no meter is fetched for what a quick look tells as well', () => {
    const van = new Tracer(CHARGED['alternator with a lamp']!, house);
    const noCharge = { ...noFire, symptom: 'no-charge' } as const;
    let meters = 0;
    for (const events of [
      [],
      [reading('charge-lamp-on', 'lit')],
      [reading('charge-lamp-on', 'lit'), reading('charge-lamp-run', 'out')],
      [reading('charge-lamp-on', 'lit'), reading('charge-lamp-run', 'out'), reading('charge-belt', 'firm')],
      [reading('charge-belt', 'firm'), reading('charge-wire-look', 'sound'), reading('charge-fast', 12.4)],
      [reading('charge-lamp-run', 'lit'), reading('charge-belt', 'firm'), reading('charge-source', 12.3)],
    ]) {
      const [best, ...rest] = van.rank(van.belief(noCharge, events), noCharge, failing);
      if (best!.check.instrument === 'eyes' || best!.check.opens.length > 0) continue;
      meters++;
      const looks = rest.filter((r) => r.check.instrument === 'eyes' && r.check.opens.length === 0 && r.minutes < 1);
      for (const look of looks) expect(look.bitsPerMinute, look.check.id).toBeLessThan(0.9 * best!.bitsPerMinute);
    }
    expect(meters).toBeGreaterThan(0);
  });
  it('what comes and goes is looked for again at another time, not at once and not for ever', () => {
    const damp = { ...noFire, pattern: 'damp' } as const;
    const offered = (faultPresent: 'unknown' | 'yes', ...checks: string[]) => {
      const words = { 'spark-coil-lead': 'good', 'lamp-cranking': 'flashes' } as Readonly<Record<string, string>>;
      const events = checks.map((c) => reading(c, words[c]!, { faultPresent }));
      const now = { warmth: 'unknown', faultPresent } as const;
      return tracer.rank(tracer.belief(damp, events), damp, now).map((r) => r.check.id);
    };
    expect(offered('unknown', 'spark-coil-lead')).not.toContain('spark-coil-lead');
    expect(offered('unknown', 'spark-coil-lead', 'lamp-cranking')).toContain('spark-coil-lead');
    const three = [
      'spark-coil-lead',
      'lamp-cranking',
      'spark-coil-lead',
      'lamp-cranking',
      'spark-coil-lead',
      'lamp-cranking',
    ];
    expect(offered('unknown', ...three)).not.toContain('spark-coil-lead');
    // It failed while it was read: that settles it.
    expect(offered('yes', 'spark-coil-lead', 'lamp-cranking')).not.toContain('spark-coil-lead');
  });
  it('no check is asked a third time, and a sound machine is called sound in a few', () => {
    const checks: number[] = [];
    for (const seed of [1, 2, 3, 4, 5]) {
      const { named, events } = follow(tracer, noFire, new HiddenMachine(model, [], seededRandom(seed)), { most: 40 });
      expect(named).toBe('sound');
      // Of the first machine lamps are called weak that are not.
      expect(events.length).toBeLessThanOrEqual(34);
      checks.push(events.length);
      const times = new Map<string, number>();
      for (const e of events)
        if (e.type === 'reading') times.set(e.reading.checkId, (times.get(e.reading.checkId) ?? 0) + 1);
      expect(Math.max(...times.values())).toBeLessThanOrEqual(2);
    }
    // Of some hundred ways of failing, each of which may be slight.
    expect(checks.sort((a, b) => a - b)[2]).toBeLessThanOrEqual(20);
  });
});
