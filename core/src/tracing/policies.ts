import type { Check } from '../trails/checks.ts';
import type { Belief } from './belief.ts';
import type { Model } from './model.ts';
import type { RankedCheck } from './nextCheck.ts';
import { stationShares } from './stations.ts';

/** Ways of walking a trail: ours, and the fixed habits it is measured against. All share one belief and one rule for stopping. */
export type Policy = 'cheapest information' | 'walk in order' | 'halve' | 'usual culprit';
export const POLICIES: readonly Policy[] = ['cheapest information', 'walk in order', 'halve', 'usual culprit'];

const stationOrder = (model: Model) => new Map(model.machine.stations.map((s, i) => [s.id, i]));

/** The quickest check not done yet at a station. */
const quickest = (checks: readonly RankedCheck[], station: string): Check | undefined =>
  checks.filter((r) => r.check.station === station).sort((a, b) => a.minutes - b.minutes)[0]?.check;

export function choose(
  policy: Policy,
  model: Model,
  belief: Belief,
  ranked: readonly RankedCheck[],
): Check | undefined {
  if (policy === 'cheapest information') return ranked[0]?.check;
  // A habit is not a fool: a check that can tell nothing any more is passed over.
  const useful = ranked.filter((r) => r.bits > 0.01);
  const shares = stationShares(belief);
  const order = stationOrder(model);
  const stations = [...new Set(useful.map((r) => r.check.station))].sort((a, b) => order.get(a)! - order.get(b)!);
  if (stations.length === 0) return ranked[0]?.check;
  if (policy === 'walk in order') return quickest(useful, stations[0]!);
  if (policy === 'usual culprit') {
    const [most] = stations.sort((a, b) => (shares.get(b) ?? 0) - (shares.get(a) ?? 0));
    return quickest(useful, most!);
  }
  // The station at which half of the suspicion lies upstream.
  let upstream = 0;
  const total = [...shares.values()].reduce((a, b) => a + b, 0);
  for (const s of model.machine.stations) {
    upstream += shares.get(s.id) ?? 0;
    if (upstream < total / 2) continue;
    const at = order.get(s.id)!;
    const near = stations.sort((a, b) => Math.abs(order.get(a)! - at) - Math.abs(order.get(b)! - at))[0]!;
    return quickest(useful, near);
  }
  return quickest(useful, stations[0]!);
}

/** The checks with the one that a habit would take first in front; the rest as they were. */
export function inOrderOf(
  policy: Policy,
  model: Model,
  belief: Belief,
  ranked: readonly RankedCheck[],
): readonly RankedCheck[] {
  const first = choose(policy, model, belief, ranked);
  if (!first || first === ranked[0]?.check) return ranked;
  return [...ranked.filter((r) => r.check === first), ...ranked.filter((r) => r.check !== first)];
}
