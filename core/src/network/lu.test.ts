import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random/lcg.ts';
import { Lu } from './lu.ts';

/** Row-major product. */
const times = (m: Float64Array, x: Float64Array): Float64Array =>
  Float64Array.from(x, (_, i) => x.reduce((sum, xj, j) => sum + m[i * x.length + j]! * xj, 0));

describe('LU', () => {
  it.each([1, 2, 7, 30])('solves random systems of %d unknowns back to where they came from', (n) => {
    const random = seededRandom(n);
    for (let round = 0; round < 20; round++) {
      const m = Float64Array.from({ length: n * n }, () => random() - 0.5);
      for (let i = 0; i < n; i++) m[i * n + i]! += 0.1;
      const x = Float64Array.from({ length: n }, () => random() * 10 - 5);
      const lu = new Lu(m.slice(), n);
      expect(lu.singularColumn).toBe(-1);
      const back = lu.solve(times(m, x));
      for (let i = 0; i < n; i++) expect(back[i]).toBeCloseTo(x[i]!, 5);
    }
  });
  it('swaps rows where the diagonal is zero', () => {
    const lu = new Lu(Float64Array.of(0, 1, 1, 0), 2);
    expect([...lu.solve(Float64Array.of(3, 4))]).toEqual([4, 3]);
  });
  it('is used again and again, and leaves the right-hand side alone', () => {
    const lu = new Lu(Float64Array.of(2, 0, 0, 4), 2);
    const rhs = Float64Array.of(2, 4);
    expect([...lu.solve(rhs)]).toEqual([1, 1]);
    expect([...lu.solve(rhs)]).toEqual([1, 1]);
    expect([...rhs]).toEqual([2, 4]);
  });
  it.each([
    ['a column of zeros', [1, 0, 2, 0], 1],
    ['two rows alike', [1, 2, 1, 2], 1],
    ['all zeros', [0, 0, 0, 0], 0],
  ])('names the column of %s', (_name, entries, column) => {
    expect(new Lu(Float64Array.from(entries), 2).singularColumn).toBe(column);
  });
});
