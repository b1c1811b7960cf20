/** One pull of a hand pump with the engine held at one speed: how far under the air's pressure, pascal, and what the light shows. */
export interface PumpRow {
  readonly pullPascal: number;
  readonly degrees: number;
}

/** What a vacuum advance does of itself. */
export interface PumpedCurve {
  /** All that it gave, degrees of the crank. */
  readonly gain: number;
  /** Where it begins to move; undefined where it does not move at all. Pascal. */
  readonly startPascal: number | undefined;
  /** Where it has given all; undefined while it was still rising at the strongest pull. Pascal. */
  readonly fullPascal: number | undefined;
}

/** Light, pointer and eye: less than this is no movement, and a plate is not missed by less. Degrees. */
const READS_WITHIN = 2;
/** A ramp is sought between this many steps of the strongest pull. */
const STEPS = 100;
const LEAST_ROWS = 3;

/**
 * A flat, a straight rise and a flat again, laid through what the light showed by least squares: where it starts, where it
 * has given all, and how much that is. Undefined with fewer than three different pulls.
 */
export function pumpedCurve(rows: readonly PumpRow[]): PumpedCurve | undefined {
  if (new Set(rows.map((r) => r.pullPascal)).size < LEAST_ROWS) return undefined;
  const most = Math.max(...rows.map((r) => r.pullPascal));
  let best: { error: number; gain: number; start: number; full: number } | undefined;
  for (let from = 0; from < STEPS; from++)
    for (let to = from + 1; to <= STEPS; to++) {
      const [start, full] = [(from / STEPS) * most, (to / STEPS) * most];
      const { slope: gain, error } = line(
        rows.map((r) => Math.min(1, Math.max(0, (r.pullPascal - start) / (full - start)))),
        rows.map((r) => r.degrees),
      );
      if (best === undefined || error < best.error - 1e-9) best = { error, gain, start, full };
    }
  const { gain, start, full } = best!;
  if (Math.abs(gain) < READS_WITHIN) return { gain, startPascal: undefined, fullPascal: undefined };
  // One pull alone above the rise may as well lie on it.
  const flat = rows.filter((r) => r.pullPascal >= full).length > 1;
  return { gain, startPascal: start, fullPascal: flat ? full : undefined };
}

/** Least squares through points; the error is the sum of squares that is left. */
function line(x: readonly number[], y: readonly number[]): { slope: number; error: number } {
  const mean = (v: readonly number[]) => v.reduce((a, b) => a + b, 0) / v.length;
  const [mx, my] = [mean(x), mean(y)];
  const spread = x.reduce((sum, v) => sum + (v - mx) ** 2, 0);
  const slope = spread === 0 ? 0 : x.reduce((sum, v, k) => sum + (v - mx) * (y[k]! - my), 0) / spread;
  const error = x.reduce((sum, v, k) => sum + (y[k]! - my - slope * (v - mx)) ** 2, 0);
  return { slope, error };
}

/** What is wrong with a vacuum advance; `rising` asks for a stronger pull before it is judged. */
export type PumpSays = 'leaks' | 'still' | 'backwards' | 'rising' | 'little' | 'much' | 'as it should';

/** The unit by itself, against what its plate gives in degrees of the crank; `holds`: the pump's needle stays where it was. */
export function pumpSays(
  curve: PumpedCurve,
  holds: boolean,
  plate: { readonly low: number; readonly high: number },
): PumpSays {
  if (!holds) return 'leaks';
  if (curve.startPascal === undefined) return 'still';
  if (curve.gain < 0) return 'backwards';
  if (curve.gain > plate.high + READS_WITHIN) return 'much';
  if (curve.gain >= plate.low - READS_WITHIN) return 'as it should';
  return curve.fullPascal === undefined ? 'rising' : 'little';
}

/** Where most begin to move and where most have given all (SOURCES, timing). Pulls, pascal. */
export const USUAL_PULLS = { start: { low: 10e3, high: 20e3 }, full: { low: 35e3, high: 50e3 } } as const;

/** Set by the gauge, it is turned back from its best by an inch of mercury, so that it does not knock under load. Trade usage. */
const BACK_PASCAL = 3386;
/** What the gauge is to show when the body is turned back from the earliest that still raised it; pulls, pascal. */
export const turnedBackTo = (bestPascal: number): number => bestPascal - BACK_PASCAL;
