/** How far an idle mixture screw stood out, turns, and how fast the engine idled there, rev/min. */
export interface ScrewRow {
  readonly turns: number;
  readonly rpm: number;
}
/** One that meters fuel gives less of it screwed in; one that bleeds air gives less air, and so a richer mixture. */
export type Screw = 'fuel' | 'air';

export type ScrewSays =
  /** Fastest there; left leaner by the drop that was asked for. */
  | { readonly kind: 'peak'; readonly bestTurns: number; readonly bestRpm: number; readonly leaveTurns: number }
  /** Whatever it is turned, the speed stays. */
  | { readonly kind: 'flat' }
  /** Fastest beyond what was tried. */
  | { readonly kind: 'beyond'; readonly way: 'in' | 'out' };

/** An idle wanders by so much by itself, rev/min. */
const WANDERS = 15;
/** The top of the curve may lie so far outside the turns that were tried, turns. */
const OUTSIDE = 0.25;

/**
 * The speed over the turns as a parabola by least squares: its top, and the leaner side of it where the speed has come down
 * by `dropRpm`. Undefined with fewer than three different turns.
 */
export function idleScrew(rows: readonly ScrewRow[], screw: Screw, dropRpm: number): ScrewSays | undefined {
  if (new Set(rows.map((r) => r.turns)).size < 3) return undefined;
  const [least, most] = [Math.min(...rows.map((r) => r.turns)), Math.max(...rows.map((r) => r.turns))];
  const speeds = rows.map((r) => r.rpm);
  if (Math.max(...speeds) - Math.min(...speeds) < WANDERS) return { kind: 'flat' };
  const { curve, slope, level } = parabola(rows);
  const top = -slope / (2 * curve);
  if (curve >= 0 || top < least - OUTSIDE || top > most + OUTSIDE) {
    const fastest = [...rows].sort((a, b) => b.rpm - a.rpm)[0]!;
    return { kind: 'beyond', way: fastest.turns - least > most - fastest.turns ? 'out' : 'in' };
  }
  const bestRpm = level + (slope * top) / 2;
  const leaner = Math.sqrt(dropRpm / -curve);
  return { kind: 'peak', bestTurns: top, bestRpm, leaveTurns: screw === 'fuel' ? top - leaner : top + leaner };
}

/** rpm = curve·t² + slope·t + level, by the normal equations about the mean turn. */
function parabola(rows: readonly ScrewRow[]): { curve: number; slope: number; level: number } {
  const mean = rows.reduce((sum, r) => sum + r.turns, 0) / rows.length;
  const moment = (power: number): number => rows.reduce((sum, r) => sum + (r.turns - mean) ** power, 0);
  const against = (power: number): number => rows.reduce((sum, r) => sum + r.rpm * (r.turns - mean) ** power, 0);
  const [n, s2, s3, s4] = [rows.length, moment(2), moment(3), moment(4)];
  const [y0, y1, y2] = [against(0), against(1), against(2)];
  // The first moment about the mean is nothing, which leaves two unknowns after the level is put in.
  const det = (s4 - (s2 * s2) / n) * s2 - s3 * s3;
  const lifted = y2 - (s2 * y0) / n;
  const curve = (lifted * s2 - s3 * y1) / det;
  const tilt = ((s4 - (s2 * s2) / n) * y1 - s3 * lifted) / det;
  const middle = (y0 - curve * s2) / n;
  return { curve, slope: tilt - 2 * curve * mean, level: middle - tilt * mean + curve * mean * mean };
}

/** How far an idle is brought down on the lean side where no book says, rev/min. Trade usage. */
export const USUAL_DROP = 20;
/** Usual screws stand between these many turns out; less or more, and something else feeds or starves the idle. Trade usage. */
export const USUAL_TURNS = { low: 0.5, high: 3.5 } as const;
