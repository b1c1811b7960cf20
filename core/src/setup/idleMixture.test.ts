import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { idleScrew, type ScrewRow } from './idleMixture.ts';

const along = (turns: readonly number[], rpm: (t: number) => number): ScrewRow[] =>
  turns.map((t) => ({ turns: t, rpm: rpm(t) }));
/** Fastest two turns out, at 850; a turn either way costs forty. */
const hill = along([0.5, 1, 1.5, 2.5, 3], (t) => 850 - 40 * (t - 2) ** 2);

describe('an idle mixture screw', () => {
  it('by hand: 850 at two turns, and twenty less is the root of a half, 0.71 turns, away', () => {
    const fuel = idleScrew(hill, 'fuel', 20);
    if (fuel?.kind !== 'peak') throw new Error('no top was found');
    expect(fuel.bestTurns).toBeCloseTo(2, 9);
    expect(fuel.bestRpm).toBeCloseTo(850, 6);
    expect(fuel.leaveTurns).toBeCloseTo(2 - Math.SQRT1_2, 9);
  });
  it('one that bleeds air is leaner further out', () => {
    expect(idleScrew(hill, 'air', 20)).toMatchObject({ leaveTurns: expect.closeTo(2 + Math.SQRT1_2, 9) as number });
  });
  it('finds the top of whatever hill was drawn, an idle that wanders by five included', () => {
    const hills = fc.record({
      top: fc.double({ min: 1, max: 3, noNaN: true }),
      steep: fc.integer({ min: 25, max: 90 }),
      off: fc.array(fc.integer({ min: -5, max: 5 }), { minLength: 7, maxLength: 7 }),
    });
    fc.assert(
      fc.property(hills, ({ top, steep, off }) => {
        const rows = off.map((o, k): ScrewRow => {
          const turns = 0.5 + 0.5 * k;
          return { turns, rpm: 800 - steep * (turns - top) ** 2 + o };
        });
        const says = idleScrew(rows, 'fuel', 20);
        expect(says?.kind).toBe('peak');
        if (says?.kind === 'peak') expect(Math.abs(says.bestTurns - top)).toBeLessThan(0.25);
      }),
      { seed: 9 },
    );
  });
  it.each([
    ['still rising as it is screwed out', along([1, 2, 3], (t) => 700 + 30 * t), { kind: 'beyond', way: 'out' }],
    ['still rising as it is screwed in', along([1, 2, 3], (t) => 900 - 30 * t), { kind: 'beyond', way: 'in' }],
    ['nothing comes of it', along([1, 2, 3], (t) => 800 + 3 * t), { kind: 'flat' }],
    ['two turns are no curve', along([1, 2, 1], (t) => 800 + 30 * t), undefined],
  ] as const)('%s', (_, rows, says) => {
    expect(idleScrew(rows, 'fuel', 20)).toEqual(says);
  });
});
