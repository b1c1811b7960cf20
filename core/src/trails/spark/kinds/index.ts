import type { TrailKind } from '../../../machine/trail.ts';
import { batteryDischarge } from './batteryDischarge.ts';
import { coilOnPlug } from './coilOnPlug.ts';
import { batteryPoints } from './batteryPoints.ts';
import { capacitorDischarge } from './capacitorDischarge.ts';
import { conversion, electronic } from './electronic.ts';
import { flywheelMagneto } from './flywheelMagneto.ts';
import { pointsCoils } from './pointsCoils.ts';
import { rotatingMagneto } from './rotatingMagneto.ts';

/** The one place that lists the kinds of spark trail. */
export const SPARK_TRAILS: readonly TrailKind[] = [
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
