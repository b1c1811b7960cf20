import { rimDegrees } from '../engine/crankGeometry.ts';

/** How the moment was found with the engine standing. */
export const STATIC_WAYS = ['lamp', 'ohmmeter', 'paper'] as const;
export type StaticWay = (typeof STATIC_WAYS)[number];

export interface StaticTiming {
  /** Degrees of the crank before true top at which the points part. */
  readonly degrees: number;
  /** How much earlier it should part, degrees of the crank; later below nothing. Undefined while nobody said when. */
  readonly earlier: number | undefined;
}

/**
 * The moment at which points part, by where the mark stood as the lamp came on: so many millimetres before the pointer on
 * a rim of this size, or so many degrees. `markOff` is where the mark itself stands against true top, degrees; `wanted`
 * what the book asks for at rest, crank degrees before top.
 */
export function staticTiming(
  before: { readonly degrees: number } | { readonly rimMetres: number; readonly rimAcross: number },
  markOff: number,
  wanted: number | undefined,
): StaticTiming {
  const shown = 'degrees' in before ? before.degrees : rimDegrees(before.rimMetres, before.rimAcross);
  const degrees = shown - markOff;
  return { degrees, earlier: wanted === undefined ? undefined : wanted - degrees };
}
