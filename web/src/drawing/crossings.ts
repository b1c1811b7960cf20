import type { Run } from './layout.ts';
import { segmentsOf } from './segments.ts';

/** Within so little of its end a wire touches, and does not cross. */
const TOUCHES = 0.5;
const between = (v: number, p: number, q: number): boolean =>
  v > Math.min(p, q) + TOUCHES && v < Math.max(p, q) - TOUCHES;

/** How often wires of different nodes run across each other. */
export function crossings(runs: readonly Run[]): number {
  const all = runs.flatMap(segmentsOf);
  const level = all.filter(({ a, b }) => a.y === b.y);
  const upright = all.filter(({ a, b }) => a.x === b.x);
  let sum = 0;
  for (const h of level)
    for (const v of upright)
      if (h.run.wire.node !== v.run.wire.node && between(v.a.x, h.a.x, h.b.x) && between(h.a.y, v.a.y, v.b.y)) sum++;
  return sum;
}
