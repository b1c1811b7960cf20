import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitOf } from '../schema/fit.ts';
import { before, balanceOfCarburettors, orderOfWork, type StepId } from './carburettors.ts';
import { chargeSays, cutIn, setPoint } from './chargeSet.ts';
import { generalTorque, inchArea, INCH_THREADS, metricArea, METRIC_PITCH, PROOF } from './fasteners.ts';
import { readCap, readOrder, swapBehind, towersOf } from './leadMap.ts';
import { condenserBy, dwellAcross, lobesOf } from './lobes.ts';
import { roadLimit, roadVerdict, type Round } from './roadTest.ts';
import { tapeOf } from './tape.ts';
import { machine } from '../__tests__/machines.ts';
import { FUELLED } from '../__tests__/fuelMachines.ts';

describe('firing order and lead map', () => {
  it.each([
    ['1-3-4-2', 4, [1, 3, 4, 2]],
    ['1 5 3 6 2 4', 6, [1, 5, 3, 6, 2, 4]],
    ['1342', 4, [1, 3, 4, 2]],
    [' 1–8–4–3–6–5–7–2 ', 8, [1, 8, 4, 3, 6, 5, 7, 2]],
  ] as const)('reads %s', (text, cylinders, order) => {
    expect(readOrder(text, cylinders)).toEqual({ ok: true, order });
  });
  it.each([
    ['', 4, 'empty'],
    ['1-3-4', 4, 'wrong count'],
    ['1-3-3-2', 4, 'twice'],
    ['1-3-5-2', 4, 'not numbers'],
    ['one two', 2, 'not numbers'],
  ] as const)('says what is wrong with "%s"', (text, cylinders, code) => {
    expect(readOrder(text, cylinders)).toMatchObject({ ok: false, code });
  });
  it('by hand: a four whose rotor turns anticlockwise from the second tower', () => {
    // Seen from above the rotor passes towers 1, 0, 3, 2: they are 1, 3, 4, 2.
    expect(towersOf({ order: [1, 3, 4, 2], turns: 'anticlockwise', first: 1 })).toEqual([3, 1, 2, 4]);
    expect(towersOf({ order: [1, 3, 4, 2], turns: 'clockwise', first: 1 })).toEqual([2, 1, 3, 4]);
  });
  it('half a turn out, a tower on, two swapped, and a muddle are told apart', () => {
    const wanted = towersOf({ order: [1, 5, 3, 6, 2, 4], turns: 'clockwise', first: 0 });
    expect(readCap(wanted, wanted).says).toBe('right');
    expect(readCap([6, 2, 4, 1, 5, 3], wanted)).toMatchObject({ says: 'half a turn out', by: 3 });
    expect(readCap([4, 1, 5, 3, 6, 2], wanted)).toMatchObject({ says: 'all moved on', by: 1 });
    expect(readCap([1, 3, 5, 6, 2, 4], wanted)).toMatchObject({ says: 'two swapped', pair: [5, 3] });
    expect(readCap([1, 3, 6, 5, 2, 4], wanted)).toMatchObject({ says: 'mixed', wrong: [1, 2, 3] });
  });
  it('any order, any rotation: the rotor meets each tower once, and moving the leads round is found', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(3, 4, 6, 8).chain((n) =>
          fc.record({
            order: fc.shuffledSubarray(
              Array.from({ length: n }, (_v, k) => k + 1),
              { minLength: n, maxLength: n },
            ),
            turns: fc.constantFrom('clockwise' as const, 'anticlockwise' as const),
            first: fc.nat(n - 1),
            by: fc.integer({ min: 1, max: n - 1 }),
          }),
        ),
        ({ by, ...cap }) => {
          const wanted = towersOf(cap);
          expect([...wanted].sort()).toEqual([...cap.order].sort());
          expect(wanted[cap.first]).toBe(cap.order[0]);
          const n = wanted.length;
          const moved = wanted.map((_v, k) => wanted[(k - by + n) % n]!);
          expect(readCap(moved, wanted)).toMatchObject({ by });
        },
      ),
    );
  });
  it('two dead cylinders name the swap, and how far off their sparks come', () => {
    expect(swapBehind([3, 5], [1, 5, 3, 6, 2, 4])).toEqual({ pair: [3, 5], apart: 1, degreesOff: 120 });
    expect(swapBehind([1, 4], [1, 3, 4, 2])).toEqual({ pair: [1, 4], apart: 2, degreesOff: 360 });
    expect(swapBehind([2], [1, 3, 4, 2])).toBeUndefined();
    expect(swapBehind([1, 2, 3], [1, 3, 4, 2])).toBeUndefined();
  });
});

describe('lobes of one cam', () => {
  it('a bent shaft swings once a turn, a worn lobe stands alone, wear all over is neither', () => {
    const bent = Array.from({ length: 6 }, (_v, k) => 0.4 + 0.05 * Math.sin((2 * Math.PI * k) / 6));
    expect(lobesOf(bent, 0.03).says).toBe('shaft');
    expect(lobesOf([0.4, 0.4, 0.31, 0.4, 0.4, 0.4], 0.03)).toMatchObject({ says: 'lobe', lobe: 3 });
    expect(lobesOf([0.4, 0.4, 0.31, 0.4], 0.03)).toMatchObject({ says: 'lobe', lobe: 3 });
    // Worn it opens less: one that opens more is dirt, a burr or a slip of the feeler.
    expect(lobesOf([0.4, 0.4, 0.49, 0.4], 0.03)).toMatchObject({ says: 'proud', lobe: 3 });
    expect(lobesOf([0.4, 0.3, 0.4, 0.3, 0.4, 0.3], 0.03).says).toBe('uneven');
    expect(lobesOf([0.4, 0.41, 0.4, 0.39], 0.03)).toMatchObject({ says: 'even', lobe: undefined });
  });
  it('dwell that stays is good; what grows is told from what falls', () => {
    expect([dwellAcross(55, 56), dwellAcross(55, 60), dwellAcross(55, 49)]).toEqual(['steady', 'grows', 'falls']);
  });
  it('metal gone from the minus contact is too small a condenser, whichever side that is', () => {
    expect(condenserBy('fixed', 'negative')).toBe('too small');
    expect(condenserBy('moving', 'positive')).toBe('too small');
    expect(condenserBy('moving', 'negative')).toBe('too large');
  });
});

describe('a tape for the rim', () => {
  it('by hand: 150 mm across, 30° and 10°', () => {
    // π·150/360 = 1.309 mm a degree; a tenth of a millimetre of paper adds less than a thousandth to it.
    const { millimetres, marks } = tapeOf(0.15, { from: -30, to: 10 });
    expect(millimetres).toBeCloseTo(52.4, 1);
    expect(marks).toHaveLength(21);
    expect(marks.filter((m) => m.long).map((m) => m.degrees)).toEqual([-30, -20, -10, 0, 10]);
    expect(marks[15]!.millimetres - marks[5]!.millimetres).toBeCloseTo(20 * 1.3099, 2);
  });
  it('a tape from right to left is refused', () => {
    expect(() => tapeOf(0.15, { from: 10, to: -30 })).toThrow(/lower to a higher/);
  });
});

describe('road test', () => {
  const rounds = (...given: [number, ...Round['noticed']][]): Round[] =>
    given.map(([degrees, ...noticed]) => ({ degrees, noticed }));
  it('goes earlier until it knocks, then keeps a step below the knock', () => {
    expect(roadVerdict(rounds([8]))).toMatchObject({ clean: 8, next: { do: 'earlier', degrees: 10 } });
    expect(roadVerdict(rounds([8], [10, 'pulls well'], [12, 'knock']))).toMatchObject({
      clean: 10,
      knocks: 12,
      keep: 10,
    });
    // Ten was never driven: of those that were, eight lies a step below.
    expect(roadVerdict(rounds([8], [11], [12, 'knock'])).keep).toBe(8);
    expect(roadVerdict(rounds([8], [10], [11, 'knock'])).keep).toBe(8);
    // None that was tried is low enough: that one is tried next.
    expect(roadVerdict(rounds([10], [11, 'knock']))).toMatchObject({
      keep: undefined,
      next: { do: 'later', degrees: 9 },
    });
  });
  it('one that knocks at once goes later, and a later round at the same figure stands', () => {
    expect(roadVerdict(rounds([10, 'kicks back'])).next).toEqual({ do: 'later', degrees: 8 });
    expect(roadVerdict(rounds([10, 'knock'], [10])).clean).toBe(10);
  });
  it('is a figure of the curve as well: ten at idle and twenty-two by the weights are thirty-two', () => {
    const weights = { fullRpm: 2600, span: 22 };
    expect(roadLimit(rounds([8], [10, 'knock']), weights)).toEqual({ rpm: 2600, degrees: 32 });
    expect(roadLimit(rounds([8]), weights)).toBeUndefined();
  });
  it('hesitation and surge alone are no knock', () => {
    expect(roadVerdict(rounds([6, 'hesitation', 'surge'])).knocks).toBeUndefined();
    expect(roadVerdict([])).toEqual({ clean: undefined, knocks: undefined, keep: undefined, next: undefined });
  });
  it('what is kept never knocked and lies a step below what did', () => {
    const any = fc.array(
      fc.record({
        degrees: fc.integer({ min: 0, max: 20 }),
        noticed: fc.subarray(['knock', 'surge', 'pulls well'] as const),
      }),
    );
    fc.assert(
      fc.property(any, (tried) => {
        const { keep, knocks } = roadVerdict(tried as Round[]);
        if (keep === undefined || knocks === undefined) return;
        expect(keep).toBeLessThanOrEqual(knocks - 2);
        const last = (tried as Round[]).findLast((r) => r.degrees === keep);
        expect(last?.noticed).not.toContain('knock');
        expect(last).toBeDefined();
      }),
    );
  });
});

describe('what charges, set', () => {
  it('14.2 V at 25 °C, 8.5 mV less for each kelvin more, half of it for six volts', () => {
    const mid = ({ low, high }: { low: number; high: number }) => (low + high) / 2;
    expect(mid(setPoint(12, 25))).toBeCloseTo(14.2, 6);
    expect(mid(setPoint(12, 65))).toBeCloseTo(13.86, 6);
    expect(mid(setPoint(6, 25))).toBeCloseTo(7.1, 6);
    expect(cutIn(6).low).toBeCloseTo(6.35, 9);
    expect(cutIn(6).high).toBeCloseTo(6.65, 9);
  });
  it('a machine’s own plate goes before the book’s, and falls with warmth alike', () => {
    const own = { low: 14.6, high: 14.8 };
    const warm = setPoint(12, 65, own);
    expect(warm.low).toBeCloseTo(14.26, 6);
    expect(warm.high).toBeCloseTo(14.46, 6);
    expect(chargeSays({ volts: 12, celsius: 25, holds: 14.7 })).toEqual(['holds high']);
    expect(chargeSays({ volts: 12, celsius: 25, holds: 14.7, own })).toEqual(['holds right']);
    expect(chargeSays({ volts: 12, celsius: 25, holds: 14.2, own })).toEqual(['holds low']);
  });
  it('a cut-out above the set point never closes, whatever else is right', () => {
    expect(chargeSays({ volts: 12, celsius: 25, holds: 13, cutsIn: 13.2 })).toEqual([
      'holds low',
      'cuts in above set point',
    ]);
    expect(chargeSays({ volts: 12, celsius: 25, holds: 14.2, cutsIn: 12.4, beltMetres: 0.02 })).toEqual([
      'holds right',
      'cuts in early',
      'belt slack',
    ]);
    // 15.1 V would boil it in summer and is right in hard frost.
    expect(chargeSays({ volts: 12, celsius: 30, holds: 15.1 })).toEqual(['holds high']);
    expect(chargeSays({ volts: 12, celsius: -40, holds: 14.9 })).toEqual(['holds right']);
  });
});

describe('fasteners', () => {
  it('by the tables: stress areas of M8, M10 and ⅜-16 are 36.6, 58.0 and 50.0 mm²', () => {
    expect(1e6 * metricArea(8e-3, METRIC_PITCH[8]!)).toBeCloseTo(36.6, 1);
    expect(1e6 * metricArea(10e-3, METRIC_PITCH[10]!)).toBeCloseTo(58, 1);
    // 0.0775 square inches.
    const { inches, coarse } = INCH_THREADS['3/8']!;
    expect(1e6 * inchArea(inches, coarse)).toBeCloseTo(0.0775 * 645.16, 0);
  });
  it('by hand: M10 of class 8.8, dry, takes about 50 N m; oiled a quarter less', () => {
    const area = metricArea(10e-3, METRIC_PITCH[10]!);
    // 0.2 × 10 mm × 0.75 × 580 MPa × 58 mm² = 50.5 N m.
    expect(generalTorque(10e-3, area, PROOF['8.8']!, 'dry')).toBeCloseTo(50.5, 0);
    expect(generalTorque(10e-3, area, PROOF['8.8']!, 'oiled')).toBeCloseTo(50.5 * 0.75, 0);
  });
});

describe('carburettors', () => {
  it('the order of work holds only what the machine has, and nothing waits for what it has not', () => {
    for (const body of [machine(), ...Object.values(FUELLED)]) {
      const steps = orderOfWork(fitOf(body.fitOut));
      const ids = steps.map((s) => s.id);
      steps.forEach((s, k) => {
        for (const a of s.after) expect(ids.indexOf(a)).toBeLessThan(k);
        for (const a of s.after) expect(ids).toContain(a);
      });
      expect(ids.includes('balance')).toBe((fitOf(body.fitOut).fuel?.carburettors ?? 1) > 1);
      expect(ids.indexOf('mixture')).toBeLessThan(ids.indexOf('speed'));
    }
  });
  it('names what stands before a step until it is done or overruled', () => {
    const steps = orderOfWork(fitOf(machine().fitOut));
    const names = (settled: StepId[]) => before(steps, 'mixture', new Set(settled)).map((s) => s.id);
    expect(names([])).toEqual(['timing', 'leaks', 'level', 'warm']);
    expect(names(['timing', 'leaks', 'level', 'warm'])).toEqual([]);
  });
  it('of two by their vacuum, the one that holds less stands open wider; by flow, the other way round', () => {
    expect(balanceOfCarburettors([62, 50], 'vacuum').turn).toEqual(['open', 'close']);
    // The same gauge with its minus written, and with it forgotten once.
    expect(balanceOfCarburettors([-62, -50], 'vacuum')).toEqual(balanceOfCarburettors([62, 50], 'vacuum'));
    expect(balanceOfCarburettors([-62, 50], 'vacuum').turn).toEqual(['open', 'close']);
    expect(balanceOfCarburettors([8, 6], 'flow').turn).toEqual(['close', 'open']);
    expect(balanceOfCarburettors([60, 61], 'vacuum')).toMatchObject({ alike: true, turn: ['leave', 'leave'] });
  });
});
