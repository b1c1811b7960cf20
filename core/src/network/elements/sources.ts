import type { CurrentSource, VoltageSource } from '../types.ts';
import type { ElementModel } from './model.ts';

export const voltageSource: ElementModel<VoltageSource> = {
  type: 'voltage',
  nonlinear: false,
  branch: true,
  conducts: () => true,
  stamp: (e, to) => to.branch(e.id, e.a, e.b, e.volts),
  amps: (_e, _volts, branchAmps) => branchAmps,
};

export const currentSource: ElementModel<CurrentSource> = {
  type: 'current',
  nonlinear: false,
  branch: false,
  conducts: () => false,
  stamp: (e, to) => to.current(e.a, e.b, e.amps),
  amps: (e) => e.amps,
};
