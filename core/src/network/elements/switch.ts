import type { Switch } from '../types.ts';
import type { ElementModel } from './model.ts';

const ohms = (e: Switch) => (e.closed ? e.onOhms : e.offOhms);

export const switchModel: ElementModel<Switch> = {
  type: 'switch',
  nonlinear: false,
  branch: false,
  conducts: (e) => ohms(e) < 1e11,
  stamp: (e, to) => to.conductance(e.a, e.b, 1 / ohms(e)),
  amps: (e, volts) => (volts(e.a) - volts(e.b)) / ohms(e),
};
