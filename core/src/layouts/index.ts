import { batteryDischarge } from './batteryDischarge.ts';
import { coilOnPlug } from './coilOnPlug.ts';
import { batteryPoints } from './batteryPoints.ts';
import { capacitorDischarge } from './capacitorDischarge.ts';
import { conversion, electronic } from './electronic.ts';
import { flywheelMagneto } from './flywheelMagneto.ts';
import { pointsCoils } from './pointsCoils.ts';
import { rotatingMagneto } from './rotatingMagneto.ts';
import type { Layout, LayoutKind } from './layout.ts';
import type { FitOut } from '../schema/machine.ts';

/** The one place that lists the kinds of trail. */
export const LAYOUTS: readonly LayoutKind[] = [
  batteryPoints,
  electronic,
  conversion,
  pointsCoils,
  flywheelMagneto,
  rotatingMagneto,
  capacitorDischarge,
  batteryDischarge,
  coilOnPlug,
];

/** Throws on a kind that is not registered; the schema has refused it before. */
export function buildLayout(fit: FitOut): Layout {
  const kind = LAYOUTS.find((l) => l.kind === fit.layout);
  if (!kind) throw new RangeError(`No layout "${fit.layout}"`);
  return kind.build(fit);
}
export { NoSolution, Scene, type Footprint } from './scene.ts';
export type * from './layout.ts';
export { chargePeakVolts, outputPeakVolts } from './dischargeSpark.ts';
export { triggerPeak, triggerPeakVolts } from './generated.ts';
