import type { CheckMaker } from '../../../machine/check.ts';
import { chargeLampStates, chargeLampWire } from './lamp.ts';
import {
  fullField,
  generatorChecks,
  insideMachine,
  lampsAlone,
  lookChargeWire,
  magnetsPull,
  pressBelt,
  ripple,
  statorLegs,
} from './machine.ts';
import { chargeVolts, drainAtRest } from './volts.ts';

/** Checks of the charge trail, in the order in which one walks it. */
export const CHARGE_CHECKS: readonly CheckMaker[] = [
  pressBelt,
  lookChargeWire,
  chargeLampStates,
  chargeVolts,
  drainAtRest,
  chargeLampWire,
  ripple,
  statorLegs,
  magnetsPull,
  lampsAlone,
  fullField,
  generatorChecks,
  insideMachine,
];
