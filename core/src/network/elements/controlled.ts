import type { ControlledVoltage, Gap } from '../types.ts';
import type { ElementModel } from './model.ts';

export const controlledVoltage: ElementModel<ControlledVoltage> = {
  type: 'controlled',
  nonlinear: false,
  branch: true,
  conducts: () => true,
  stamp: (e, to) => to.branch(0, e.gain),
  amps: (_e, _a, _b, branchAmps) => branchAmps,
};

/** Leak of a gap that has not struck, ohms. */
export const GAP_OHMS = 1e12;

/** Not struck: what strikes it is a matter of the transient. */
export const gap: ElementModel<Gap> = {
  type: 'gap',
  nonlinear: false,
  branch: false,
  conducts: () => false,
  stamp: (_e, to) => to.conductance(1 / GAP_OHMS),
  amps: (_e, a, b) => (a - b) / GAP_OHMS,
};
