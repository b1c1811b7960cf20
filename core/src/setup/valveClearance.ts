import type { Band } from '../machine/part.ts';

export interface ValveFound {
  readonly cylinder: number;
  readonly found: number;
  /** Too tight it does not shut, and burns; too wide it opens late and knocks. */
  readonly says: 'tight' | 'right' | 'wide';
  /** How far to turn or to shim, metres: more clearance above nothing. */
  readonly by: number;
}

/** Each valve of a row, in the order of its cylinders, held against its band; set to the middle of it. Metres. */
export function valvesOf(found: readonly number[], band: Band): ValveFound[] {
  const middle = (band.low + band.high) / 2;
  return found.map((metres, k) => {
    const says = metres < band.low - NEAR ? 'tight' : metres > band.high + NEAR ? 'wide' : 'right';
    return { cylinder: k + 1, found: metres, says, by: says === 'right' ? 0 : middle - metres };
  });
}
/** A feeler tells no finer, metres. */
const NEAR = 0.005e-3;

/** The shim that brings a clearance to what is wanted: as much thinner as it is too tight. Metres. */
export const shimFor = (shim: number, found: number, wanted: number): number => shim + found - wanted;

/** Both valves of this cylinder stand on the heel of their cams while those of its fellow rock. */
export interface Rocking {
  readonly set: number;
  readonly rocks: number;
}
/** Fewer cylinders need not fire evenly, and rock by their own rule. */
const EVENLY_FROM = 4;

/**
 * In which order the valves of an engine that fires evenly are set, turning it on in its own direction: a cylinder's two
 * are shut at its own firing top, where those of the cylinder that fires one turn later change over. None where it has
 * too few cylinders, or an odd number of them.
 */
export function rockingOf(order: readonly number[]): Rocking[] {
  const half = order.length / 2;
  if (order.length < EVENLY_FROM || !Number.isInteger(half)) return [];
  return order.map((cylinder, k) => ({ set: cylinder, rocks: order[(k + half) % order.length]! }));
}

/** How far the crank is turned from one cylinder to the next, degrees. */
export const turnedBetween = (cylinders: number): number => 720 / cylinders;
