import type { Capacitor, Inductor } from '../types.ts';
import type { ElementModel } from './model.ts';

export const inductor: ElementModel<Inductor> = {
  type: 'inductor',
  nonlinear: false,
  branch: true,
  conducts: () => true,
  stamp: (e, to) => to.branch(e.id, e.a, e.b, 0),
  amps: (_e, _volts, branchAmps) => branchAmps,
};

export const capacitor: ElementModel<Capacitor> = {
  type: 'capacitor',
  nonlinear: false,
  branch: false,
  conducts: () => false,
  stamp: () => undefined,
  amps: () => 0,
};
