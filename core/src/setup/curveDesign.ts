import { ROAD_STEP } from './roadTest.ts';
import { swungAt } from '../trails/timing/advance.ts';

/** An advance by weights and springs, degrees of the crank and rev/min of the crank. */
export interface Advance {
  /** Where the springs give way, and where the weights meet their stop. */
  readonly startRpm: number;
  readonly fullRpm: number;
  /** All that the weights give. */
  readonly span: number;
  /** Of two springs, where the second takes hold as well: at that speed, with so many degrees given. */
  readonly knee?: Knee;
}
export interface Knee {
  readonly rpm: number;
  readonly degrees: number;
}

/** A figure at which it knocked, at that speed: a step less is the most that is fit. */
export interface Limit {
  readonly rpm: number;
  readonly degrees: number;
}

export type Unfit =
  /** The two figures leave nothing, or the speeds stand the wrong way round. */
  | { readonly code: 'no-span' | 'speeds-crossed' }
  /** The second spring would take hold before the first gives, or after all is in. */
  | { readonly code: 'knee-outside' }
  /** From there on it would have to rise faster: a spring more cannot do that. */
  | { readonly code: 'second-softer' }
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
  /** Take-up and rate of the springs over today's; of two, of the one that works from the start. */
  readonly takeUp: number;
  readonly rate: number;
  /** Of the second spring, loose until then: its rate over today's, and the degrees of the distributor that it is loose for. */
  readonly second: { readonly rate: number; readonly looseFor: number } | undefined;
  readonly unfit: readonly Unfit[];
}

/** Degrees before top at a speed, hose off. */
export function advanceAt(base: number, { startRpm, fullRpm, span, knee }: Advance, rpm: number): number {
  if (!knee) return base + span * swungAt({ startRpm, fullRpm }, rpm);
  const early = knee.degrees * swungAt({ startRpm, fullRpm: knee.rpm }, rpm);
  return base + early + (span - knee.degrees) * swungAt({ startRpm: knee.rpm, fullRpm }, rpm);
}

/**
 * The curve that runs from `base` at idle to `total`, and what makes these weights give it. A weight at radius r pulls
 * with m·r·ω²: springs give way where that equals their take-up, and reach the stop where it equals take-up and rate over
 * the span. So take-up goes with the square of the first speed, rate with the difference of the two squares over the
 * span; that the radius grows as the weight swings out is left aside, a tenth or so of the rate. A second spring that
 * hangs loose takes hold at the knee and adds its rate from there on.
 */
export function designCurve(
  now: Advance,
  wish: {
    readonly base: number;
    readonly total: number;
    readonly startRpm: number;
    readonly fullRpm: number;
    /** Degrees before top that it has there. */
    readonly knee?: Knee;
  },
  limits: readonly Limit[],
  idleRpm: number,
): CurveDesign {
  const knee = wish.knee && { rpm: wish.knee.rpm, degrees: wish.knee.degrees - wish.base };
  const { startRpm, fullRpm } = wish;
  const wanted: Advance = { startRpm, fullRpm, span: wish.total - wish.base, ...(knee ? { knee } : {}) };
  const stiffness = (from: number, to: number, degrees: number) => (to ** 2 - from ** 2) / degrees;
  const today = stiffness(now.startRpm, now.fullRpm, now.span);
  const first = knee ? stiffness(startRpm, knee.rpm, knee.degrees) : stiffness(startRpm, fullRpm, wanted.span);
  const later = knee && stiffness(knee.rpm, fullRpm, wanted.span - knee.degrees);
  const unfit: Unfit[] = [];
  if (wanted.span <= 0) unfit.push({ code: 'no-span' });
  if (wanted.fullRpm <= wanted.startRpm) unfit.push({ code: 'speeds-crossed' });
  if (knee) {
    const inside = knee.rpm > startRpm && knee.rpm < fullRpm && knee.degrees > 0 && knee.degrees < wanted.span;
    if (!inside) unfit.push({ code: 'knee-outside' });
    else if (later! < first) unfit.push({ code: 'second-softer' });
  }
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
    rate: first / today,
    second: knee && { rate: (later! - first) / today, looseFor: knee.degrees / 2 },
    unfit,
  };
}
