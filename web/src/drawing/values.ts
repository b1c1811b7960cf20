import type { LaidPart, Point, Run } from './layout.ts';
import { segmentsOf, type Segment } from './segments.ts';

/** Room for the volts of a node. */
export const VALUE = { width: 50, height: 14 } as const;
/** Between the figure and its wire. */
const OFF = 3;

interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const crosses = (box: Box, { a, b }: Segment): boolean =>
  Math.max(a.x, b.x) > box.x &&
  Math.min(a.x, b.x) < box.x + box.width &&
  Math.max(a.y, b.y) > box.y &&
  Math.min(a.y, b.y) < box.y + box.height;
const overlap = (one: Box, other: Box): boolean =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height;

/** Places for a figure at a stretch of wire: over it and under it, at its middle and at its ends; beside it where it rises. */
function placesAt({ a, b }: Segment): Box[] {
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
  if (top === bottom) {
    const over = top - VALUE.height - OFF;
    const middle = (left + right - VALUE.width) / 2;
    return [over, top + OFF].flatMap((y) =>
      [middle, left + OFF, right - VALUE.width - OFF].map((x) => ({ x, y, ...VALUE })),
    );
  }
  return [left + OFF, left - VALUE.width - OFF].map((x) => ({ x, y: (top + bottom - VALUE.height) / 2, ...VALUE }));
}

/**
 * Where the volts of each node are written: once for each, at that stretch of its wires, longest first, where the figure
 * lies over no wire, no part and no other figure. A node for which there is no such place goes without: the table has it.
 */
export function valuesAt(parts: readonly LaidPart[], runs: readonly Run[]): ReadonlyMap<Run, Point> {
  const segments = runs.flatMap(segmentsOf);
  const taken: Box[] = parts.map(({ box, x, y }) => ({ x: x + 2, y, width: box.width - 4, height: box.height }));
  const found = new Map<Run, Point>();
  const length = ({ a, b }: Segment) => Math.abs(a.x - b.x) + Math.abs(a.y - b.y) / 2;
  for (const node of new Set(runs.map((r) => r.wire.node))) {
    const own = segments.filter((s) => s.run.wire.node === node).sort((s, t) => length(t) - length(s));
    for (const segment of own) {
      const place = placesAt(segment).find(
        (p) => !segments.some((s) => crosses(p, s)) && !taken.some((t) => overlap(p, t)),
      );
      if (!place) continue;
      taken.push(place);
      found.set(segment.run, { x: place.x, y: place.y });
      break;
    }
  }
  return found;
}
