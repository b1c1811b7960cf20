import type { CheckMaker } from '../../../machine/check.ts';
import { carburettorsApart } from './apart.ts';
import { breathing } from './breathing.ts';
import { carburettorInside, carburettorOutside } from './carburettor.ts';
import { flowIntoCan, fuelInTank, pumpPressures, wayOpened } from './feed.ts';
import { nippedUp } from './nippedUp.ts';
import { bulbAndPump } from './pump.ts';
import { idleCutOffChecks } from './idleCutOff.ts';
import { fedByHand, fuelOrNot } from './splits.ts';
import { vacuumTapChecks } from './vacuumTap.ts';

/** Checks of the fuel trail, in the order in which one walks it. */
export const FUEL_CHECKS: readonly CheckMaker[] = [
  fuelInTank,
  breathing,
  fuelOrNot,
  fedByHand,
  nippedUp,
  bulbAndPump,
  vacuumTapChecks,
  flowIntoCan,
  pumpPressures,
  carburettorOutside,
  carburettorsApart,
  idleCutOffChecks,
  wayOpened,
  carburettorInside,
];
