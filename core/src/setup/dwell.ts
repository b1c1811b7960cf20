/** Closed angle of one cylinder's points, in three ways of saying it. Degrees are of the shaft that carries their cam. */
export interface Dwell {
  readonly degrees: number;
  /** Of the turn between two sparks, 0…1. */
  readonly share: number;
  /** How long the points stay shut at a speed, seconds. */
  readonly seconds: number;
}

/** Of so many lobes the shaft turns 360°/lobes between two sparks, 6·n degrees a second at n rev/min. */
export function dwellOf(degrees: number, lobes: number, shaftRpm: number): Dwell {
  return { degrees, share: (degrees * lobes) / 360, seconds: degrees / (6 * shaftRpm) };
}
export const dwellFromShare = (share: number, cylinders: number): number => (share * 360) / cylinders;

/** A gap and the dwell that was measured with it. */
export interface GapAndDwell {
  readonly gapMetres: number;
  readonly dwellDegrees: number;
}

/**
 * The straight line through two measured pairs: over the few tenths in which points are set, dwell falls evenly with the
 * gap. Undefined where the pairs do not fix one: the same gap twice, or dwell that rises with the gap.
 */
export function calibrated(one: GapAndDwell, other: GapAndDwell) {
  const slope = (other.dwellDegrees - one.dwellDegrees) / (other.gapMetres - one.gapMetres);
  if (!Number.isFinite(slope) || slope >= 0) return undefined;
  return {
    /** Degrees of dwell for each metre that the gap is wider; below zero. */
    slope,
    dwellAt: (gapMetres: number): number => one.dwellDegrees + slope * (gapMetres - one.gapMetres),
    gapAt: (dwellDegrees: number): number => one.gapMetres + (dwellDegrees - one.dwellDegrees) / slope,
  };
}

/** What opens a set of points: how many lobes, and how often the crank turns to one turn of their shaft. */
export interface Cam {
  readonly lobes: number;
  readonly crankTurns: 1 | 2;
}
/** A distributor has a lobe for each cylinder at half the crank's speed; a flywheel's cam is on the crank itself. */
export function camOf(spark: string | undefined, cylinders: number): Cam {
  if (spark === 'flywheel-magneto') return { lobes: 1, crankTurns: 1 };
  return { lobes: spark === 'points-coils' ? 1 : cylinders, crankTurns: 2 };
}

/**
 * What a change of dwell does to the timing, degrees of the crank, above zero earlier. A wider gap shuts later and opens
 * sooner, half of the change at either end of the closed angle. Where the crank turns twice to the points' once, a degree
 * less of dwell is a degree earlier; where their cam is on the crank, half of one.
 */
export const timingShift = (fromDwell: number, toDwell: number, crankTurns: Cam['crankTurns'] = 2): number =>
  ((fromDwell - toDwell) / 2) * crankTurns;
