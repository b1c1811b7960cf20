import type { TrailName } from '../schema/symptoms.ts';
import type { Belief } from './belief.ts';
import type { TrailShare } from './verdict.ts';

/** Belief by trail, told or not, most first; of two faults each counts for its own. */
export function trailBelief(belief: Belief): TrailShare[] {
  const shares = new Map<TrailName, number>();
  const add = (trail: TrailName, mass: number) => shares.set(trail, (shares.get(trail) ?? 0) + mass);
  for (const w of belief.weighed) {
    // What is on a trail that nobody told accounts for it as fully as any fault does.
    const total = w.blame.reduce((a, b) => a + b, w.elsewhere ? 1 : 0);
    if (w.elsewhere) add(w.elsewhere, w.mass / total);
    w.remaining.forEach((f, i) => add(f.trail, (w.mass * w.blame[i]!) / total));
  }
  return [...shares].map(([trail, share]) => ({ trail, share })).sort((a, b) => b.share - a.share);
}
