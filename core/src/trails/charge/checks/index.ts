import type { CheckMaker } from '../../../machine/check.ts';
import { dashAmmeter } from './ammeter.ts';
import { chargeLampStates, chargeLampWire } from './lamp.ts';
import { lookChargeWire, lookRectifier, pressBelt } from './looked.ts';
import { fieldWireChecks, fullField } from './field.ts';
import { generatorChecks, insideMachine, ripple } from './machine.ts';
import { lampsAlone, magnetsPull, statorLegs } from './stator.ts';
import { chargeVolts, drainAtRest } from './volts.ts';

/** Checks of the charge trail, in the order in which one walks it. */
export const CHARGE_CHECKS: readonly CheckMaker[] = [
  pressBelt,
  lookChargeWire,
  lookRectifier,
  chargeLampStates,
  dashAmmeter,
  chargeVolts,
  drainAtRest,
  chargeLampWire,
  ripple,
  statorLegs,
  magnetsPull,
  lampsAlone,
  fieldWireChecks,
  fullField,
  generatorChecks,
  insideMachine,
];
