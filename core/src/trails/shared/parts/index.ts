import { addedBox, addedResistor, interlock, suppressor } from './added.ts';
import { battery } from './battery.ts';
import { bodyEarth, heavyJoint, wire } from './conductor.ts';
import { fuse } from './fuse.ts';
import { isolator } from './isolator.ts';
import { joints } from './joints.ts';
import { ignitionSwitch } from './ignitionSwitch.ts';
import { starter, warningLamp } from './starter.ts';

/** Kinds of part that more than one trail has. */
export const SHARED_PARTS = {
  addedBox,
  addedResistor,
  battery,
  bodyEarth,
  fuse,
  heavyJoint,
  ignitionSwitch,
  interlock,
  isolator,
  joints,
  starter,
  suppressor,
  warningLamp,
  wire,
} as const;
export { meltingAmps } from './fuse.ts';
