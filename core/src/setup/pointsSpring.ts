import type { Band } from '../machine/part.ts';

/** Pull of a points spring at its contact, newtons: 17 to 25 ounces. Trade usage. */
export const USUAL_PULL = { low: 4.7, high: 7 } as const;

export interface SpringSays {
  readonly says: 'weak' | 'right' | 'hard';
  /** From this speed of the crank on the heel no longer follows the cam, rev/min. */
  readonly floatsFrom: number;
}

/**
 * A heel leaves its cam where what the cam asks of it grows over the spring: acceleration goes with the square of the
 * speed, so the speed goes with the root of the pull. The least pull of the band holds to the engine's top speed, which
 * is what it is given for.
 */
export function springSays(pullNewtons: number, band: Band, topRpm: number): SpringSays {
  const says = pullNewtons < band.low ? 'weak' : pullNewtons > band.high ? 'hard' : 'right';
  return { says, floatsFrom: topRpm * Math.sqrt(pullNewtons / band.low) };
}
