import type { ControlledVoltage, Gap } from '../types.ts';
import type { ElementModel } from './model.ts';

export const controlledVoltage: ElementModel<ControlledVoltage> = {
  type: 'controlled',
  nonlinear: false,
  branch: true,
  conducts: () => true,
  stamp: (e, to) => to.branch(e.id, e.a, e.b, 0, { a: e.controlA, b: e.controlB, gain: e.gain }),
  amps: (_e, _volts, branchAmps) => branchAmps,
};

/** Leak of a gap that has not struck, ohms. */
export const GAP_OHMS = 1e12;

/** Not struck: what strikes it is a matter of the transient. */
export const gap: ElementModel<Gap> = {
  type: 'gap',
  nonlinear: false,
  branch: false,
  conducts: () => false,
  stamp: (e, to) => to.conductance(e.a, e.b, 1 / GAP_OHMS),
  amps: (e, volts) => (volts(e.a) - volts(e.b)) / GAP_OHMS,
};
