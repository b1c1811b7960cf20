import type { ModelView, TrailName } from '@pondu/core';
import { group } from 'd3-array';

export type Trails = ModelView['trails'];

/** The trail that a station stands on; of one that several share, the first. */
export const trailOf = (trails: Trails, station: string): TrailName | undefined =>
  trails.find((t) => t.stations.some((s) => s.id === station))?.id;

/** In the order of the machine's trails, what belongs to each; what belongs to none stands first. */
export function byTrail<T>(trails: Trails, items: readonly T[], of: (item: T) => TrailName | undefined) {
  const found = group(items, of);
  return [undefined, ...trails.map((t) => t.id)].flatMap((trail) => {
    const its = found.get(trail);
    return its ? [{ trail, items: its }] : [];
  });
}
