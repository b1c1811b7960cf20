import type { Resistor } from '../types.ts';
import type { ElementModel } from './model.ts';

export const resistor: ElementModel<Resistor> = {
  type: 'resistor',
  nonlinear: false,
  branch: false,
  // A thousand gigaohm is the solver's own leakage: beyond it a resistor is a gap.
  conducts: (e) => e.ohms < 1e11,
  stamp: (e, to) => to.conductance(1 / e.ohms),
  amps: (e, a, b) => (a - b) / e.ohms,
};
