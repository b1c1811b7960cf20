/**
 * Primary current when the points open, amperes: i = (V/R)(1 − e^(−t·R/L)) [2].
 * `steadyAmps` is V/R of the whole loop, `loopOhms` its resistance, `closedSeconds` the time the points were closed.
 */
export function currentAtBreak(steadyAmps: number, loopOhms: number, henries: number, closedSeconds: number): number {
  return steadyAmps * (1 - Math.exp((-closedSeconds * loopOhms) / henries));
}

/** Seconds closed per spark: dwell° / (6·n_d), n_d distributor rev/min (half the crank's on a four-stroke). */
export function closedSeconds(dwellDegrees: number, distributorRpm: number): number {
  return dwellDegrees / (6 * distributorRpm);
}
