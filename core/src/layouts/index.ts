import { batteryPoints } from './batteryPoints.ts';
import type { Layout, LayoutKind } from './layout.ts';
import type { FitOut } from '../schema/machine.ts';

/** The one place that lists the kinds of trail. */
export const LAYOUTS: readonly LayoutKind[] = [batteryPoints];

/** Throws on a kind that is not registered; the schema has refused it before. */
export function buildLayout(fit: FitOut): Layout {
  const kind = LAYOUTS.find((l) => l.kind === fit.layout);
  if (!kind) throw new RangeError(`No layout "${fit.layout}"`);
  return kind.build(fit);
}
export { Scene } from './scene.ts';
export type * from './layout.ts';
