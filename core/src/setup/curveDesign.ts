import { ROAD_STEP } from './roadTest.ts';
import { swungAt } from '../trails/timing/advance.ts';

/** An advance by weights and springs, degrees of the crank and rev/min of the crank. */
export interface Advance {
  /** Where the springs give way, and where the weights meet their stop. */
  readonly startRpm: number;
  readonly fullRpm: number;
  /** All that the weights give. */
  readonly span: number;
}

/** A figure at which it knocked, at that speed: a step less is the most that is fit. */
export interface Limit {
  readonly rpm: number;
  readonly degrees: number;
}

export type Unfit =
  /** The two figures leave nothing, or the speeds stand the wrong way round. */
  | { readonly code: 'no-span' | 'speeds-crossed' }
  /** Not a step below a figure at which it knocked, at that speed. */
  | { readonly code: 'over-limit'; readonly limit: Limit; readonly degrees: number }
  /** It would begin under idle, so that idle itself hunts with the advance. */
  | { readonly code: 'starts-under-idle'; readonly idleRpm: number };

/** What has to be changed of weights that give `now`, to give the wanted curve. */
export interface CurveDesign {
  readonly wanted: Advance;
  readonly base: number;
  /** The stop: how much of today's span is left or added, degrees of the distributor. */
  readonly stopBy: number;
  /** Take-up and rate of the springs over today's. */
  readonly takeUp: number;
  readonly rate: number;
  readonly unfit: readonly Unfit[];
}

/** Degrees before top at a speed, hose off. */
export const advanceAt = (base: number, { startRpm, fullRpm, span }: Advance, rpm: number): number =>
  base + span * swungAt({ startRpm, fullRpm }, rpm);

/**
 * The curve that runs from `base` at idle to `total`, and what makes these weights give it. A weight at radius r pulls
 * with m·r·ω²: springs give way where that equals their take-up, and reach the stop where it equals take-up and rate over
 * the span. So take-up goes with the square of the first speed, rate with the difference of the two squares over the
 * span; that the radius grows as the weight swings out is left aside, a tenth or so of the rate.
 */
export function designCurve(
  now: Advance,
  wish: { readonly base: number; readonly total: number; readonly startRpm: number; readonly fullRpm: number },
  limits: readonly Limit[],
  idleRpm: number,
): CurveDesign {
  const wanted: Advance = { startRpm: wish.startRpm, fullRpm: wish.fullRpm, span: wish.total - wish.base };
  const stiffness = ({ startRpm, fullRpm, span }: Advance) => (fullRpm ** 2 - startRpm ** 2) / span;
  const unfit: Unfit[] = [];
  if (wanted.span <= 0) unfit.push({ code: 'no-span' });
  if (wanted.fullRpm <= wanted.startRpm) unfit.push({ code: 'speeds-crossed' });
  if (wanted.startRpm < idleRpm) unfit.push({ code: 'starts-under-idle', idleRpm });
  for (const limit of limits) {
    const degrees = advanceAt(wish.base, wanted, limit.rpm);
    if (degrees > limit.degrees - ROAD_STEP) unfit.push({ code: 'over-limit', limit, degrees });
  }
  return {
    wanted,
    base: wish.base,
    stopBy: (wanted.span - now.span) / 2,
    takeUp: (wanted.startRpm / now.startRpm) ** 2,
    rate: stiffness(wanted) / stiffness(now),
    unfit,
  };
}
