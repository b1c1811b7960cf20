import type { Accumulator } from '../types.ts';
import type { ElementModel } from './model.ts';

/** The bend between giving and taking, volts. */
const ROUND = 5e-3;

/** A battery gives through a small resistance and takes charge through a larger one; current into `a`, and its slope. */
export function accumulatorAmps(e: Accumulator, across: number): { amps: number; slope: number } {
  const d = e.sign * across - e.restVolts;
  const [gives, takes] = [1 / e.ohms, 1 / e.chargeOhms];
  const size = Math.hypot(d, ROUND);
  return {
    amps: e.sign * (takes * d + ((gives - takes) * (d - size + ROUND)) / 2),
    slope: takes + ((gives - takes) * (1 - d / size)) / 2,
  };
}

export const accumulator: ElementModel<Accumulator> = {
  type: 'accumulator',
  nonlinear: true,
  branch: false,
  conducts: () => true,
  stamp(e, to) {
    const v = to.atA - to.atB;
    const { amps, slope } = accumulatorAmps(e, v);
    to.conductance(slope);
    to.current(amps - slope * v);
  },
  amps: (e, a, b) => accumulatorAmps(e, a - b).amps,
};
