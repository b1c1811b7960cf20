import { addedBox, addedResistor, interlock, suppressor } from './added.ts';
import { ballast, crankingBypass } from './ballast.ts';
import { battery } from './battery.ts';
import { chargeCoil, connector, pickupCoil, triggerCoil } from './chargeCoil.ts';
import { coil } from './coil.ts';
import { condenser } from './condenser.ts';
import { bodyEarth, heavyJoint, wire } from './conductor.ts';
import { flywheel } from './flywheel.ts';
import { fuse } from './fuse.ts';
import { distributorCap, htLead, plug, plugSet, rotor } from './highTension.ts';
import { ignitionSwitch } from './ignitionSwitch.ts';
import { dischargeCoil, magnetoCoil } from './ownCoil.ts';
import { engineComputer, module, moduleEarth, moduleFeed } from './module.ts';
import { sensor, signalWire } from './sensor.ts';
import { batteryPack, pack, packEarth } from './pack.ts';
import { plugCoil } from './plugCoil.ts';
import { flywheelPoints, points, twinPoints } from './points.ts';
import { impulseCoupling, magnetoDrive, magnetRotor } from './rotatingMagneto.ts';
import { starter, warningLamp } from './starter.ts';
import { stopSwitch } from './stopSwitch.ts';

/** The one place that lists the kinds of part. */
export const PARTS = {
  addedBox,
  addedResistor,
  ballast,
  battery,
  batteryPack,
  bodyEarth,
  chargeCoil,
  coil,
  condenser,
  connector,
  crankingBypass,
  dischargeCoil,
  distributorCap,
  engineComputer,
  flywheel,
  flywheelPoints,
  fuse,
  heavyJoint,
  htLead,
  ignitionSwitch,
  impulseCoupling,
  interlock,
  magnetoCoil,
  magnetoDrive,
  magnetRotor,
  module,
  moduleEarth,
  moduleFeed,
  pack,
  packEarth,
  pickupCoil,
  plug,
  plugCoil,
  plugSet,
  points,
  rotor,
  sensor,
  signalWire,
  starter,
  stopSwitch,
  suppressor,
  triggerCoil,
  twinPoints,
  warningLamp,
  wire,
} as const;

export { contactMade } from './points.ts';
export { fluxShare } from './ownCoil.ts';
export { meltingAmps } from './fuse.ts';
export { figuresIn, offTheShelf, OPEN_OHMS, rangeOf } from './part.ts';
export type * from './part.ts';
