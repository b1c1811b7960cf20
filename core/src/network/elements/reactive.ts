import type { Capacitor, Inductor } from '../types.ts';
import type { ElementModel } from './model.ts';

export const inductor: ElementModel<Inductor> = {
  type: 'inductor',
  nonlinear: false,
  branch: true,
  conducts: () => true,
  stamp: (_e, to) => to.branch(0),
  amps: (_e, _a, _b, branchAmps) => branchAmps,
};

export const capacitor: ElementModel<Capacitor> = {
  type: 'capacitor',
  nonlinear: false,
  branch: false,
  conducts: () => false,
  stamp: () => undefined,
  amps: () => 0,
  stored: (e, across) => ({ amount: e.farads * across, slope: e.farads }),
};
