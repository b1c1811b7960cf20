import type { Switch } from '../types.ts';
import type { ElementModel } from './model.ts';

const ohms = (e: Switch) => (e.closed ? e.onOhms : e.offOhms);

export const switchModel: ElementModel<Switch> = {
  type: 'switch',
  nonlinear: false,
  branch: false,
  conducts: (e) => ohms(e) < 1e11,
  stamp: (e, to) => to.conductance(1 / ohms(e)),
  amps: (e, a, b) => (a - b) / ohms(e),
};
