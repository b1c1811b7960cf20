import type { CheckMaker } from '../../../machine/check.ts';
import { atRest } from './atRest.ts';
import { jumpSolenoid, lampsCranking, listenCranking, putAcross } from './heard.ts';
import { heatingChecks } from './heating.ts';
import { decompressorChecks } from './decompressor.ts';
import { isolatorChecks } from './isolator.ts';
import { letsGo } from './letsGo.ts';
import { freePinion, hotJoints, lookHandStart, lookStarterCable, starterOut, turnByHand } from './looked.ts';
import { loadTest } from './loadTest.ts';
import { crankingAmps, crankingSpeed, crankingVolts, solenoidOhms } from './measured.ts';

/** Checks of the crank trail, in the order in which one walks it. */
export const CRANK_CHECKS: readonly CheckMaker[] = [
  isolatorChecks,
  hotJoints,
  lookStarterCable,
  listenCranking,
  lampsCranking,
  crankingVolts,
  jumpSolenoid,
  putAcross,
  loadTest,
  crankingAmps,
  crankingSpeed,
  solenoidOhms,
  atRest,
  heatingChecks,
  letsGo,
  turnByHand,
  freePinion,
  starterOut,
  lookHandStart,
  decompressorChecks,
];
