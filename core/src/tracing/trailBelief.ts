import type { TrailName } from '../schema/symptoms.ts';
import type { Belief } from './belief.ts';
import type { TrailShare } from './verdict.ts';

/** Belief by trail, told or not, most first; of two faults each counts for its own. */
export function trailBelief(belief: Belief): TrailShare[] {
  const shares = new Map<TrailName, number>();
  const add = (trail: TrailName, mass: number) => shares.set(trail, (shares.get(trail) ?? 0) + mass);
  for (const w of belief.weighed) {
    if (w.elsewhere) add(w.elsewhere, w.mass);
    for (const f of w.remaining) add(f.trail, w.mass / w.remaining.length);
  }
  return [...shares].map(([trail, share]) => ({ trail, share })).sort((a, b) => b.share - a.share);
}
