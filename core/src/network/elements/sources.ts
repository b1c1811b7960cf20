import type { CurrentSource, VoltageSource } from '../types.ts';
import type { ElementModel } from './model.ts';

export const voltageSource: ElementModel<VoltageSource> = {
  type: 'voltage',
  nonlinear: false,
  branch: true,
  conducts: () => true,
  stamp: (e, to) => to.branch(e.volts),
  amps: (_e, _a, _b, branchAmps) => branchAmps,
};

export const currentSource: ElementModel<CurrentSource> = {
  type: 'current',
  nonlinear: false,
  branch: false,
  conducts: () => false,
  stamp: (e, to) => to.current(e.amps),
  amps: (e) => e.amps,
};
