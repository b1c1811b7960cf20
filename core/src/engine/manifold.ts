import { halved } from './halved.ts';
import { AIR_GAS_CONSTANT, ATMOSPHERE } from '../fluids/index.ts';

/** Ratio of heats of air; its temperature outside and in the manifold, kelvin. */
const GAMMA = 1.4;
const OUTSIDE = 293;
const INSIDE = 315;
const DISCHARGE = 0.65;
/** Volumetric efficiency at low speed. */
const FILLS = 0.8;
/** Friction and what hangs on the engine, idling, as a pressure on its swept volume; pascal [1]. */
const FRICTION = 1.1e5;
/** Work from a kilogram of air that burns, joule: heat of petrol over the air it asks for, an idling engine's share of it. */
const WORK = (43e6 / 14.7) * 0.2;

/** Below this share of the pressure before it a hole is choked: 0.528. */
const CHOKED = (2 / (GAMMA + 1)) ** (GAMMA / (GAMMA - 1));
const unchoked = (r: number): number =>
  Math.sqrt(((2 * GAMMA) / (GAMMA - 1)) * (r ** (2 / GAMMA) - r ** ((GAMMA + 1) / GAMMA)));
const MOST = unchoked(CHOKED);

/** Isentropic flow function: choked below 0.528 of the pressure before it, where it is 0.685 [1] [7]. */
export const psi = (ratio: number): number => (ratio <= CHOKED ? MOST : ratio >= 1 ? 0 : unchoked(ratio));

/** Kilograms of air a second through a hole, from the air outside to a pressure behind it. Square metres, pascal. */
export const airThrough = (squareMetres: number, pascals: number, outside = ATMOSPHERE): number =>
  ((DISCHARGE * squareMetres * outside) / Math.sqrt(AIR_GAS_CONSTANT * OUTSIDE)) * psi(pascals / outside);
/** Kilograms a second that a four-stroke engine takes at a manifold pressure. Litres, rev/min. */
export const airTaken = (litres: number, rpm: number, pascals: number): number =>
  (FILLS * pascals * litres * 1e-3 * rpm) / (120 * AIR_GAS_CONSTANT * INSIDE);

/** How an engine turns by itself: manifold pressure, pascal absolute, and speed. */
export interface Idling {
  readonly pascals: number;
  readonly rpm: number;
}

/**
 * Idle of a mean-value engine [1] [7]. Each turn's work, in proportion to the air it takes, pays for friction and for
 * pumping: η·m·H = (f + p₀ − p)·V gives the pressure, whatever the speed; the air that the holes let in gives the speed.
 * `works` is the share of a sound engine's work that it makes of its air. An engine that would need more than nearly
 * all of the air's pressure stalls: 0 rev/min at the pressure outside.
 */
export function idling(
  litres: number,
  squareMetres: number,
  works: number,
  outside = ATMOSPHERE,
  extraFriction = 0,
): Idling {
  const k = (WORK * FILLS * works) / (AIR_GAS_CONSTANT * INSIDE);
  const pascals = (FRICTION + extraFriction + outside) / (1 + k);
  if (!(pascals < 0.9 * outside)) return { pascals: outside, rpm: 0 };
  return { pascals, rpm: airThrough(squareMetres, pascals, outside) / airTaken(litres, 1, pascals) };
}

/** The hole that a throttle leaves a sound engine to idle at a speed. Square metres. */
export function idleHole(litres: number, rpm: number, outside = ATMOSPHERE): number {
  const one = idling(litres, 1, 1, outside);
  return rpm / one.rpm;
}

/**
 * Manifold pressure of an engine that is turned at a speed with a hole of so many square metres: where what the hole
 * lets in is what the cylinders take. By bisection; pascal absolute.
 */
export function pressureAtSpeed(litres: number, squareMetres: number, rpm: number, outside = ATMOSPHERE): number {
  return halved(1e3, outside, 40, (p) => airThrough(squareMetres, p, outside) > airTaken(litres, rpm, p))[0];
}
