import type { House } from '../schema/house.ts';
import { TRAIL_NAMES, type TrailName } from '../schema/symptoms.ts';

/**
 * How often each trail lets an old engine down, against the others: judgement from the shop, before any complaint. A
 * shop's own figures go before it (house rule `trails`).
 */
export const USUAL_SHARES: Readonly<Record<TrailName, number>> = {
  spark: 30,
  fuel: 30,
  air: 10,
  crank: 10,
  charge: 9,
  compression: 6,
  timing: 4,
  stop: 1,
};

/** What a shop weighs with nothing is rare there; nothing is impossible. */
const LEAST_SHARE = 1e-3;

/** Share of each trail before any complaint; sum 1, and none is nothing. */
export function trailShares(house: Pick<House, 'trails'>): Readonly<Record<TrailName, number>> {
  const weight = (trail: TrailName) => house.trails[trail] ?? USUAL_SHARES[trail];
  const total = TRAIL_NAMES.reduce((sum, t) => sum + weight(t), 0) || 1;
  const shares = TRAIL_NAMES.map((t) => Math.max(LEAST_SHARE, weight(t) / total));
  const all = shares.reduce((sum, s) => sum + s, 0);
  return Object.fromEntries(TRAIL_NAMES.map((t, k) => [t, shares[k]! / all])) as Record<TrailName, number>;
}
