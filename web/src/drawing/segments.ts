import type { Point, Run } from './layout.ts';

/** A straight stretch of a wire. */
export interface Segment {
  readonly run: Run;
  readonly a: Point;
  readonly b: Point;
}
export const segmentsOf = (run: Run): Segment[] => run.points.slice(1).map((b, k) => ({ run, a: run.points[k]!, b }));
