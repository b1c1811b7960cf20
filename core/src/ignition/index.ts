export { arcLimitedVolts, availableVolts, dampedPeakShare, type CoilBreak } from './available.ts';
export { burnJoules } from './energy.ts';
export { closedSeconds, currentAtBreak } from './primary.ts';
export { chargeAtSpark, requiredVolts, WRONG_POLARITY } from './required.ts';
