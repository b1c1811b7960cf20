export { arcLimitedVolts, availableVolts, dampedPeakShare, type CoilBreak } from './available.ts';
export { coilElements, pointsElements, type CoilCircuit } from './coilCircuit.ts';
export { discharge, dischargeCircuit, offLoadVolts, type CapacitorDischarge } from './capacitorDischarge.ts';
export { burnJoules } from './energy.ts';
export { burn, columnOf, fire, firingCircuit, firingPlan, type Fired, type Firing, type FiringPlan } from './firing.ts';
export {
  leastFiringRpm,
  magnetoAmps,
  magnetoCircuit,
  magnetoFires,
  sheared,
  weakened,
  type Magneto,
} from './magneto.ts';
export { adapterElements, adapterReading, normalisedPeak } from './peakAdapter.ts';
export { closedSeconds, currentAtBreak } from './primary.ts';
export { chargeAtSpark, requiredVolts, WRONG_POLARITY } from './required.ts';
export { dumpedVolts, storeVolts } from './quickStore.ts';
export {
  bridgeVolts,
  leastRpm,
  loadedPeakVolts,
  openPeakVolts,
  shortPeakAmps,
  statorHertz,
  type StatorCoil,
} from './stator.ts';
export { ohmsAt, windingOhms } from './winding.ts';
