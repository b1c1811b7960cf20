import type { CheckMaker } from '../../../machine/check.ts';
import { jumpSolenoid, lampsCranking, listenCranking, putAcross } from './heard.ts';
import { heatingChecks } from './heating.ts';
import { letsGo } from './letsGo.ts';
import { freePinion, hotJoints, lookHandStart, lookStarterCable, starterOut, turnByHand } from './looked.ts';
import { crankingAmps, crankingSpeed, crankingVolts, solenoidOhms } from './measured.ts';

/** Checks of the crank trail, in the order in which one walks it. */
export const CRANK_CHECKS: readonly CheckMaker[] = [
  hotJoints,
  lookStarterCable,
  listenCranking,
  lampsCranking,
  crankingVolts,
  jumpSolenoid,
  putAcross,
  crankingAmps,
  crankingSpeed,
  solenoidOhms,
  heatingChecks,
  letsGo,
  turnByHand,
  freePinion,
  starterOut,
  lookHandStart,
];
