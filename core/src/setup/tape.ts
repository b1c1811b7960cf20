import { rimMetres } from '../engine/crankGeometry.ts';

export interface TapeMark {
  readonly degrees: number;
  /** From the tape's left end, millimetres. */
  readonly millimetres: number;
  readonly long: boolean;
}
export interface Tape {
  readonly millimetres: number;
  readonly marks: readonly TapeMark[];
}

/** A rim of so many metres across that a tape makes sense on. */
export const TAPE_RIM = { least: 0.04, most: 0.6 };
const LONG_EVERY = 10;

/**
 * A tape for the rim, a mark for every `step` degrees from `from` to `to` (before top negative), at true scale. The
 * paper lies on the rim: its own thickness adds to the diameter. Metres. Throws on a tape that has no length.
 */
export function tapeOf(
  diameterMetres: number,
  { from, to, step = 2, paperMetres = 0.0001 }: { from: number; to: number; step?: number; paperMetres?: number },
): Tape {
  if (!(to > from) || !(step > 0)) throw new RangeError('A tape runs from a lower to a higher figure.');
  const across = diameterMetres + paperMetres;
  const count = Math.floor((to - from) / step + 1e-9);
  return {
    millimetres: 1e3 * rimMetres(to - from, across),
    marks: Array.from({ length: count + 1 }, (_v, k) => {
      const degrees = from + k * step;
      return { degrees, millimetres: 1e3 * rimMetres(k * step, across), long: degrees % LONG_EVERY === 0 };
    }),
  };
}
