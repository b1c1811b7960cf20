import { ballast, crankingBypass } from './ballast.ts';
import { battery } from './battery.ts';
import { coil } from './coil.ts';
import { condenser } from './condenser.ts';
import { bodyEarth, heavyJoint, wire } from './conductor.ts';
import { fuse } from './fuse.ts';
import { distributorCap, htLead, plug, plugSet, rotor } from './highTension.ts';
import { ignitionSwitch } from './ignitionSwitch.ts';
import { points } from './points.ts';
import { starter, warningLamp } from './starter.ts';

/** The one place that lists the kinds of part. */
export const PARTS = {
  ballast,
  battery,
  bodyEarth,
  coil,
  condenser,
  crankingBypass,
  distributorCap,
  fuse,
  heavyJoint,
  htLead,
  ignitionSwitch,
  plug,
  plugSet,
  points,
  rotor,
  starter,
  warningLamp,
  wire,
} as const;

export { contactMade } from './points.ts';
export { meltingAmps } from './fuse.ts';
export { OPEN_OHMS } from './part.ts';
export type * from './part.ts';
