import { SHARED_PARTS } from '../../shared/parts/index.ts';
import { ballast, crankingBypass } from './ballast.ts';
import { chargeCoil, connector, pickupCoil, triggerCoil } from './chargeCoil.ts';
import { coil } from './coil.ts';
import { condenser } from './condenser.ts';
import { distributorShaft } from './distributorShaft.ts';
import { flywheel, magnetoFlywheel } from './flywheel.ts';
import { distributorCap } from './distributorCap.ts';
import { htLead, plug, plugSet } from './highTension.ts';
import { highTensionSet } from './highTensionSet.ts';
import { leadOrder } from './leadOrder.ts';
import { dischargeCoil, magnetoCoil } from './ownCoil.ts';
import { engineComputer, module, moduleEarth, moduleFeed } from './module.ts';
import { sensor, signalWire } from './sensor.ts';
import { batteryPack, pack, packEarth } from './pack.ts';
import { plugCoil } from './plugCoil.ts';
import { flywheelPoints, points, twinPoints } from './points.ts';
import { revCounter } from './revCounter.ts';
import { impulseCoupling, magnetoDrive, magnetRotor } from './rotatingMagneto.ts';
import { rotor } from './rotor.ts';
import { stopSwitch } from './stopSwitch.ts';

/** The kinds of part that the spark trail is built of. */
export const PARTS = {
  ...SHARED_PARTS,
  ballast,
  batteryPack,
  chargeCoil,
  coil,
  condenser,
  connector,
  crankingBypass,
  dischargeCoil,
  distributorCap,
  distributorShaft,
  engineComputer,
  flywheel,
  flywheelPoints,
  highTensionSet,
  htLead,
  leadOrder,
  impulseCoupling,
  magnetoCoil,
  magnetoDrive,
  magnetoFlywheel,
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
  revCounter,
  rotor,
  sensor,
  signalWire,
  stopSwitch,
  triggerCoil,
  twinPoints,
} as const;

export { contactMade } from './points.ts';
export { fluxShare } from './ownCoil.ts';
export { figuresIn, offTheShelf, OPEN_OHMS } from '../../../machine/part.ts';
export type * from '../../../machine/part.ts';
