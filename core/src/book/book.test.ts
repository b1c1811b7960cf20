import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fix, house, machine, noFire, reading } from '../__tests__/machines.ts';
import { bookSchema, type Service } from '../schema/book.ts';
import type { JobBody, JobEvent } from '../schema/job.ts';
import { Tracer } from '../tracing/trace.ts';
import { bookView } from '../views/book.ts';
import { dueOf, pacePerDay } from './due.ts';
import type { BookJob } from './history.ts';
import { photosOf } from './photos.ts';

const service = (change: Partial<Service>): Service => ({
  id: 'oil',
  what: 'Oil and filter',
  everyMonths: null,
  everyMeter: null,
  lastAt: null,
  lastMeter: null,
  ...change,
});
const NOW = '2026-06-01T12:00:00Z';
const due = (change: Partial<Service>, read: [string, number][] = []) =>
  dueOf(bookSchema.parse({ services: [service(change)], read: read.map(([at, value]) => ({ at, value })) }), NOW)[0]!;

describe('what is due', () => {
  it('by months: the day of the month stays, or the month’s last', () => {
    expect(due({ everyMonths: 12, lastAt: '2025-07-15' })).toMatchObject({ byDate: '2026-07-15', state: 'later' });
    expect(due({ everyMonths: 12, lastAt: '2025-06-20' }).state).toBe('soon');
    expect(due({ everyMonths: 12, lastAt: '2025-05-31' })).toMatchObject({ byDate: '2026-05-31', state: 'due' });
    expect(due({ everyMonths: 1, lastAt: '2026-01-31' }).byDate).toBe('2026-02-28');
  });
  it('by the meter: what is left, and the day by its pace', () => {
    // A hundred hours in a hundred days: one a day. 50 hours on from 140 with 130 on the clock is ten days after 1 May.
    const read: [string, number][] = [
      ['2026-01-21', 30],
      ['2026-05-01', 130],
    ];
    expect(pacePerDay(bookSchema.parse({ read: read.map(([at, value]) => ({ at, value })) }))).toBe(1);
    expect(due({ everyMeter: 50, lastMeter: 90 }, read)).toMatchObject({
      byMeter: 140,
      onDate: '2026-05-11',
      state: 'due',
    });
    expect(due({ everyMeter: 100, lastMeter: 130 }, read)).toMatchObject({ onDate: '2026-08-09', state: 'later' });
    expect(due({ everyMeter: 50, lastMeter: 70 }, read).state).toBe('due');
    // Without a pace nothing tells the day, but what is left still tells.
    expect(due({ everyMeter: 100, lastMeter: 95 }, [['2026-05-01', 190]])).toMatchObject({
      onDate: null,
      state: 'soon',
    });
  });
  it('of the two whatever comes first; what was never done is said so', () => {
    const both = due({ everyMonths: 6, lastAt: '2026-02-01', everyMeter: 100, lastMeter: 40 }, [['2026-05-30', 150]]);
    expect(both).toMatchObject({ byDate: '2026-08-01', state: 'due' });
    expect(due({ everyMonths: 6 })).toMatchObject({ state: 'never done', onDate: null });
    expect(dueOf(undefined, NOW)).toEqual([]);
  });
  it('more months are never sooner', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 0, max: 700 }), (months, day) => {
        const lastAt = new Date(Date.UTC(2024, 0, 1) + day * 864e5).toISOString().slice(0, 10);
        const at = (n: number) => due({ everyMonths: n, lastAt }).byDate!;
        expect(at(months + 1) > at(months)).toBe(true);
      }),
    );
  });
});

const tracer = new Tracer(machine(), house);
const body = (openedAt: string): JobBody => ({
  title: '',
  complaint: noFire,
  stage: 'closed',
  waitsFor: '',
  openedAt,
  closedAt: openedAt,
  closedBecause: '',
});
const job = (id: string, openedAt: string, events: JobEvent[]): BookJob => ({ id, job: body(openedAt), events });
const setting = (at: string, foundAt: number | null, leftAt: number): JobEvent => ({
  type: 'setting',
  setting: { id: `s${at}`, figure: 'points.gapMetres', foundAt, leftAt, at },
});
const done = (repairId: string, change: object): JobEvent => {
  const made = fix(repairId);
  return made.type === 'fix' ? { ...made, fix: { ...made.fix, ...change } } : made;
};

describe('a machine’s book', () => {
  const jobs = [
    job('b', '2025-05-02T08:00:00Z', [
      setting('2025-05-02T10:00:00Z', 0.3e-3, 0.38e-3),
      done('condenser.replace', { temporary: true, minutes: 30, money: 9, at: '2025-05-02T11:00:00Z' }),
    ]),
    job('a', '2024-05-01T08:00:00Z', [
      reading('points-gap', 0.45e-3, { at: '2024-05-01T09:00:00Z' }),
      setting('2024-05-01T10:00:00Z', null, 0.4e-3),
      done('points.dress', { how: 'cleaned', minutes: 25, money: 0, parts: '' }),
      done('coil.replace', { parts: 'coil', partNumber: 'AB 12', source: 'the island store', minutes: 20, money: 60 }),
      done('ballast.replace', { how: 'adapted', temporary: true, minutes: 15, money: 3 }),
      done('ballast.replace', { how: 'replaced', minutes: 15, money: 18, parts: 'resistor' }),
    ]),
  ];
  const book = bookView(tracer, machine(), house, jobs, NOW);
  it('draws a figure over the years, with what it was found at, in time, whatever order the jobs came in', () => {
    const gap = book.series.find((s) => s.id === 'points.gapMetres')!;
    expect(gap.points.map((p) => [p.kind, p.value])).toEqual([
      ['read', 0.45e-3],
      ['left', 0.4e-3],
      ['found', 0.3e-3],
      ['left', 0.38e-3],
    ]);
    expect(gap.band).toEqual({ low: 0.33e-3, high: 0.43e-3 });
  });
  it('sums a job against what its repairs and checks should have come to', () => {
    const sum = book.jobs.find((j) => j.id === 'b')!;
    const repair = tracer.model.repairs.get('condenser.replace')!;
    expect(sum.minutes).toBe(30);
    expect(sum.expectedMinutes).toBe(repair.minutes);
    expect(sum.money).toBeCloseTo(9 + (30 * house.ratePerHour) / 60, 9);
    expect(book.jobs.map((j) => j.id)).toEqual(['b', 'a']);
  });
  it('parts with their numbers; temporary ones until a lasting repair of the same', () => {
    expect(book.parts.map((p) => p.fix.partNumber ?? p.fix.parts)).toEqual(['AB 12', 'resistor']);
    expect(book.temporary.map((t) => t.fix.repairId)).toEqual(['condenser.replace']);
    expect(book.adapted).toHaveLength(1);
  });
  it('the kit has what a six asks for, and what was only cleaned or is temporary', () => {
    const count = (what: string) => book.kit.find((k) => k.what === what)?.count;
    expect([count('Plugs'), count('Points'), count('Condenser'), count('Rotor arm'), count('Distributor cap')]).toEqual(
      [6, 1, 1, 1, 1],
    );
    const worn = book.kit.filter((k) => k.why === 'found worn').map((k) => k.what);
    expect(worn.some((w) => /condenser/i.test(w))).toBe(true);
    expect(worn.some((w) => /points/i.test(w))).toBe(true);
    expect(worn.some((w) => /coil|ballast/i.test(w))).toBe(false);
  });
  it('each kind stands in the kit once, with its number, its gap by the plate and what it was left at', () => {
    const names = book.kit.map((k) => k.what);
    expect(new Set(names).size).toBe(names.length);
    const points = book.kit.find((k) => k.what === 'Points')!;
    expect(points).toMatchObject({
      count: 1,
      why: 'found worn',
      set: { low: 0.33e-3, high: 0.43e-3, leftAt: 0.38e-3 },
    });
    const bought = job('c', '2023-05-01T08:00:00Z', [done('condenser.replace', { partNumber: 'CD 7', money: 4 })]);
    const { kit } = bookView(tracer, machine(), house, [...jobs, bought], NOW);
    expect(kit.find((k) => k.what === 'Condenser')).toMatchObject({ number: 'CD 7', why: 'found worn' });
    expect(kit.find((k) => k.what === 'Plugs')?.number).toBeUndefined();
  });
});

describe('photos', () => {
  const photo = (picture: string, change: object = {}): JobEvent => ({
    type: 'photo',
    photo: {
      id: `${picture}${JSON.stringify(change)}`,
      picture,
      station: '',
      words: '',
      pins: [],
      onCard: false,
      gone: false,
      at: NOW,
      ...change,
    },
  });
  it('the last word on a picture stands, in the order they were taken; one taken away is gone', () => {
    const all = photosOf([
      photo('a'),
      photo('b'),
      photo('a', { words: 'rotor', onCard: true }),
      photo('c'),
      photo('c', { gone: true }),
    ]);
    expect(all.map((p) => [p.picture, p.words])).toEqual([
      ['a', 'rotor'],
      ['b', ''],
    ]);
  });
});
