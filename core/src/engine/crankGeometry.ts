import { halved } from './halved.ts';

/** Length along the rim of a pulley for so many degrees of the crank; diameter in metres. */
export const rimMetres = (degrees: number, diameterMetres: number): number =>
  (Math.PI * diameterMetres * degrees) / 360;
export const rimDegrees = (metres: number, diameterMetres: number): number =>
  (360 * metres) / (Math.PI * diameterMetres);

/**
 * How far a piston stands below its top, degrees of the crank from there: x = r(1 − cos θ) + l(1 − √(1 − (r/l)² sin² θ)),
 * crank radius r (half the stroke), rod l between its centres. Metres.
 */
export function pistonBelowTop(degrees: number, strokeMetres: number, rodMetres: number): number {
  const [angle, r] = [(degrees * Math.PI) / 180, strokeMetres / 2];
  return r * (1 - Math.cos(angle)) + rodMetres * (1 - Math.sqrt(1 - (r * Math.sin(angle)) ** 2 / rodMetres ** 2));
}

const HALVINGS = 50;
/** Degrees before or after top for a piston so far below it, 0…180; undefined beyond its stroke or with too short a rod. */
export function degreesAtPiston(belowMetres: number, strokeMetres: number, rodMetres: number): number | undefined {
  if (!(belowMetres >= 0 && belowMetres <= strokeMetres) || rodMetres <= strokeMetres / 2) return undefined;
  const [low, high] = halved(0, 180, HALVINGS, (at) => pistonBelowTop(at, strokeMetres, rodMetres) < belowMetres);
  return (low + high) / 2;
}

/**
 * True top from a stop in the plug hole: the crank is turned against it from either side, and its two places read against
 * the mark, degrees, above zero after it. Top lies midway; what is left is how far the mark is off, and by how much each
 * reading of it must be mended.
 */
export function topFromStop(one: number, other: number): { readonly markIsAt: number; readonly stopDegrees: number } {
  return { markIsAt: -(one + other) / 2, stopDegrees: Math.abs(one - other) / 2 };
}
