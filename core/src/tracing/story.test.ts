import { seededRandom } from '../random/lcg.ts';
import { MEMBERS } from './ensemble.ts';
import { describe, expect, it } from 'vitest';
import type { Complaint, JobEvent } from '../schema/job.ts';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import type { Weighed } from './belief.ts';
import { complaintLikelihood } from '../engine/complaint.ts';
import { CRANKED } from '../__tests__/crankMachines.ts';
import { entryOf, tell } from './events.ts';
import { buildModel } from './model.ts';
import { hopefulPairs, type Alone } from './hopeful.ts';
import { elsewhere, OUTSIDE, setOf, singles } from './hypotheses.ts';
import { patternWeight, shows } from './presence.ts';
import { Tracer } from './trace.ts';

const tracer = new Tracer(machine(), house);
const { model, weigher } = tracer;
const fault = (id: string) => model.faults.find((f) => f.id === id)!;

describe('the events of a job in order', () => {
  const a = reading('battery-rest', 12.5);
  const b = reading('points-drop', 6);
  it('a reading knows which repairs came before it', () => {
    const story = tell([a, fix('points.dress'), b, fix('condenser.replace')]);
    expect(story.readings.map((r) => [...r.repaired])).toEqual([[], ['points.dress']]);
    expect([...story.repaired]).toEqual(['points.dress', 'condenser.replace']);
  });
  it('a correction stands where the corrected reading stood, however late it is made', () => {
    if (a.type !== 'reading') throw new Error();
    const late = reading('battery-rest', 11.2, { supersedes: a.reading.id });
    const story = tell([a, fix('battery.charge'), late]);
    expect(story.readings).toHaveLength(1);
    expect(story.readings[0]!.repaired.size).toBe(0);
    expect(story.readings[0]!.reading.value).toEqual({ kind: 'number', value: 11.2 });
  });
  it('a correction of a correction leaves one', () => {
    if (a.type !== 'reading') throw new Error();
    const second = reading('battery-rest', 12, { supersedes: a.reading.id });
    if (second.type !== 'reading') throw new Error();
    const third = reading('battery-rest', 12.3, { supersedes: second.reading.id });
    expect(tell([a, second, third]).readings.map((r) => r.reading.value)).toEqual([{ kind: 'number', value: 12.3 }]);
  });
});

describe('what is thought before any reading', () => {
  it('leaves room for the trails that nobody has told, and for the unknown', () => {
    const sum = singles(model, noFire).reduce((s, h) => s + h.prior, 0);
    const others = elsewhere(model).reduce((s, h) => s + h.prior, 0);
    expect(sum + others + OUTSIDE).toBeCloseTo(1, 9);
  });
  it('pairs never join two ways of failing of one part, nor count a pair twice', () => {
    const alone = model.faults.slice(0, 8).map((f): Alone => ({ fault: f, logPrior: -3, says: new Float64Array(2) }));
    const among = { first: alone, second: alone, goTogether: () => true, least: -Infinity, from: -20 };
    const two = hopefulPairs({ ...among, most: 100 });
    for (const [a, b] of two) expect(a.part.id).not.toBe(b.part.id);
    expect(new Set(two.map(([a, b]) => [a.id, b.id].sort().join())).size).toBe(two.length);
    const parts = alone.map((a) => a.fault.part.id);
    expect(two).toHaveLength(parts.flatMap((p, i) => parts.slice(i + 1).filter((q) => q !== p)).length);
  });
  it('the most hopeful pairs are those of a full search, readings that speak for a fault included', () => {
    const random = seededRandom(4);
    const alone = model.faults.map((fault): Alone => ({
      fault,
      logPrior: -4 * random(),
      says: Float64Array.from({ length: 6 }, () => 9 * random() - 6),
    }));
    const hopeOf = (a: Alone, b: Alone) =>
      a.says.reduce((sum, x, k) => sum + Math.max(x, b.says[k]!), a.logPrior + b.logPrior);
    const all = alone.flatMap((a, i) => alone.slice(i + 1).map((b) => ({ a, b, hope: hopeOf(a, b) })));
    const wanted = all.filter(({ a, b }) => a.fault.part !== b.fault.part).sort((x, y) => y.hope - x.hope);
    const found = hopefulPairs({
      first: alone,
      second: alone,
      goTogether: () => true,
      least: -Infinity,
      from: -40,
      most: 24,
    });
    expect(found).toEqual(wanted.slice(0, 24).map(({ a, b }) => [a.fault, b.fault]));
  });
  it('a pair is far rarer than either of its faults', () => {
    const pair = setOf(model, noFire, [fault('points.burnt'), fault('ballast.open')]);
    const single = singles(model, noFire).find((h) => h.id === 'ballast.open')!;
    expect(pair.prior).toBeLessThan(single.prior / 10);
    expect(pair.prior).toBeGreaterThan(0);
  });
});

describe('two faults at once', () => {
  const weighed = (...events: JobEvent[]) => {
    const belief = tracer.belief(noFire, events);
    return belief.weighed.filter((w) => w.faults.length === 2);
  };
  const has = (all: readonly Weighed[], ...ids: string[]) =>
    all.find((w) => ids.every((id) => w.faults.some((f) => f.id === id)));
  it('are simulated where each speaks for a reading of its own, out of thousands', () => {
    const readings = [reading('points-drop', 6), reading('look-cap', 'tracked'), reading('look-cap', 'tracked')];
    const all = weighed(...readings);
    expect(all.length).toBeLessThan(30);
    expect(model.faults.length ** 2 / 2).toBeGreaterThan(1000);
    expect(has(all, 'points.burnt', 'cap.tracked')).toBeDefined();
    expect(has(all, 'points.burnt', 'cap.tracked')!.mass).toBeGreaterThan(0.1);
  });
  it('behind a repair are those that what was repaired may have hidden', () => {
    const tried = [reading('try-it', 'does not fire'), reading('spark-plug-lead', 'none')];
    const events = [reading('points-drop', 6), fix('points.dress'), ...tried];
    const all = weighed(...events);
    for (const w of all) expect(w.faults.some((f) => f.repairId === 'points.dress')).toBe(true);
    const mass = (of: readonly Weighed[]) => of.reduce((sum, w) => sum + w.mass, 0);
    // As likely as that the reading was a slip, whatever single fault that would leave.
    expect(mass(all)).toBeGreaterThan(
      0.5 * mass(tracer.belief(noFire, events).weighed.filter((w) => w.faults.length === 1)),
    );
  });
  it('a sound trail says nothing of how the engine runs: it may be fuel', () => {
    const after = (word: string) =>
      tracer
        .belief(noFire, [reading('points-drop', 6), fix('points.dress'), reading('try-it', word)])
        .weighed.reduce((sum, w) => sum + (w.elsewhere ? w.mass : 0), 0);
    expect(after('does not fire')).toBeGreaterThan(after('runs even'));
  });
});

describe('the complaint as the first reading', () => {
  const says = (symptom: Complaint['symptom'], id?: string) => {
    const ensemble = weigher.ensemble(id ? [fault(id)] : []);
    const each = Array.from({ length: MEMBERS }, (_, m) =>
      complaintLikelihood(ensemble.scene(m), { ...noFire, symptom }),
    );
    return each.reduce((s, p) => s + p, 0) / each.length;
  };
  it.each(['points.closed-up', 'fuse.blown', 'coil.primary-open', 'cap.tracked', 'plugs.fouled', 'rotor.punched'])(
    '%s brings "will not fire"',
    (id) => {
      // Some degrees of it are too slight.
      expect(says('no-fire', id)).toBeGreaterThan(0.35);
      expect(says('misses', id)).toBeLessThan(0.3);
    },
  );
  it.each(['plug-2.fouled', 'lead-4.open', 'plug-6.wide'])('%s brings "misses"', (id) => {
    expect(says('misses', id)).toBeGreaterThan(0.25);
    expect(says('no-fire', id)).toBeLessThan(0.2);
  });
  it('a sound machine brings no complaint', () => {
    for (const symptom of ['no-fire', 'dies', 'misses', 'hard-start'] as const) expect(says(symptom)).toBeLessThan(0.2);
  });
  it('"cranks" speaks against a battery that cannot crank', () => {
    expect(says('no-fire', 'battery.tired')).toBeLessThan(says('hard-start', 'battery.tired'));
  });
  it('is always possible, so that one word never rules out the truth', () => {
    for (const f of model.faults) expect(says('no-fire', f.id), f.id).toBeGreaterThan(0);
  });
});

describe('was the fault there?', () => {
  const hot: Complaint = { ...noFire, pattern: 'hot' };
  it.each([
    [noFire, 'unknown', 'unknown', 1],
    [noFire, 'unknown', 'no', 0.02],
    [hot, 'cold', 'yes', 1],
    [hot, 'hot', 'no', 0.02],
  ] as const)('%#', (complaint, warmth, faultPresent, expected) => {
    expect(shows(complaint, { warmth, faultPresent })).toBe(expected);
  });
  it('a hot part is likelier to show a heat fault than a cold one', () => {
    const at = (warmth: 'hot' | 'cold' | 'unknown') => shows(hot, { warmth, faultPresent: 'unknown' });
    expect(at('hot')).toBeGreaterThan(at('unknown'));
    expect(at('unknown')).toBeGreaterThan(at('cold'));
  });
  it('the pattern raises what it suits and lowers the rest', () => {
    expect(patternWeight(hot, fault('condenser.open'))).toBeGreaterThan(1);
    expect(patternWeight(hot, fault('points.burnt'))).toBeLessThan(1);
    expect(patternWeight({ ...noFire, pattern: 'damp' }, fault('cap.damp'))).toBeGreaterThan(1);
    expect(patternWeight(noFire, fault('cap.damp'))).toBe(1);
  });
});

describe('what every event has', () => {
  const by = { device: 'Tablet', initials: 'JM' };
  const at = '2026-01-01T00:00:00Z';
  it.each([
    [{ type: 'setting', setting: { id: 'a', figure: 'f', foundAt: null, leftAt: 1, at, by } }],
    [{ type: 'cause', cause: { id: 'a', faultId: 'f', cause: 'c', found: 'found', note: '', at, by } }],
  ] as const)('%j', (event) => {
    expect(entryOf(event)).toMatchObject({ id: 'a', at, by });
  });
  it('a reading and a repair as well; who is left out where nobody is known', () => {
    expect(entryOf(reading('battery-rest', 12, { id: 'r' })).id).toBe('r');
    expect(entryOf(fix('coil.replace')).by).toBeUndefined();
  });
});

describe('a diesel', () => {
  it('has no spark trail that nobody told of, however little is known of it', () => {
    const names = (body: Parameters<typeof buildModel>[0]) =>
      elsewhere(buildModel(body, house)).map((h) => h.elsewhere);
    const diesel = CRANKED['a diesel of three'] ?? Object.values(CRANKED).find((m) => m.fitOut.compressionRatio > 15)!;
    expect(names(diesel)).not.toContain('spark');
    expect(names(diesel)).toContain('fuel');
    expect(names(CRANKED['relay and an interlock, with breaker points']!)).not.toContain('spark');
  });
});
