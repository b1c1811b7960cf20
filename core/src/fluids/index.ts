export { airVessel, ATMOSPHERE, headPascals, NO_LEAK, openVessel, PETROL_DENSITY } from './vessels.ts';
export { leakDown, leakDownSeconds, vacuumLineCircuit, type VacuumLine } from './vacuumLine.ts';
export {
  gravityFeedCircuit,
  recoverAfter,
  starve,
  tankOverTime,
  type GravityFeed,
  type Starving,
} from './sealedTank.ts';
export { AIR_GAS_CONSTANT } from '../network/elements/gasOrifice.ts';
