import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Elimination } from './elimination.ts';
import { Lu } from './lu.ts';

const entries = fc.array(
  fc.record({
    i: fc.nat(7),
    j: fc.nat(7),
    value: fc.double({ min: -5, max: 5, noNaN: true }),
  }),
  { minLength: 5, maxLength: 25 },
);
const SIZE = 8;
const dominant = (list: { i: number; j: number; value: number }[], shift = 0): Float64Array => {
  const m = new Float64Array(SIZE ** 2);
  for (const { i, j, value } of list) m[i * SIZE + j]! += value * (1 + shift * (i - j));
  for (let i = 0; i < SIZE; i++) m[i * SIZE + i]! += 60 + shift;
  return m;
};

describe('elimination in a fixed order', () => {
  it('agrees with LU on random sparse matrices, and again when only values change', () => {
    fc.assert(
      fc.property(entries, (list) => {
        const first = dominant(list);
        const pattern = Array.from(first, (x) => x !== 0);
        const order = new Elimination(pattern, first, SIZE);
        for (const shift of [0, 0.3, -0.2]) {
          const m = dominant(list, shift);
          const rhs = Float64Array.from({ length: SIZE }, (_, i) => i - 3);
          const wanted = new Lu(Float64Array.from(m), SIZE).solve(rhs);
          expect(order.factor(m)).toBe(true);
          order.solve(m, rhs).forEach((x, i) => expect(x).toBeCloseTo(wanted[i]!, 9));
        }
      }),
      { numRuns: 100, seed: 9 },
    );
  });
  it('takes a pivot off the diagonal where the diagonal is empty, as the row of a source has it', () => {
    const m = Float64Array.of(1, 1, 1, 0);
    const order = new Elimination([true, true, true, false], m, 2);
    expect(order.factor(m)).toBe(true);
    // x + y = 3, x = 2.
    expect([...order.solve(m, Float64Array.of(3, 2))]).toEqual([2, 1]);
  });
  it('refuses a matrix whose pivot has all but gone, and names the column of a singular one', () => {
    const first = Float64Array.of(1, 2, 3, 4);
    const order = new Elimination([true, true, true, true], first, 2);
    // Whichever entry of the first column served as pivot, one of these has lost it.
    const refused = [Float64Array.of(1e-12, 2, 3, 4), Float64Array.of(1, 2, 1e-12, 4)].filter((m) => !order.factor(m));
    expect(refused.length).toBeGreaterThan(0);
    expect(
      new Elimination([true, true, true, true], Float64Array.of(1, 2, 0, 0), 2).singularColumn,
    ).toBeGreaterThanOrEqual(0);
    expect(order.singularColumn).toBe(-1);
  });
});
