import type { GasSpace } from '../types.ts';
import type { ElementModel } from './model.ts';

/** The solver may guess a vacuum beyond a vacuum on its way. */
const LEAST_PASCALS = 1;

/**
 * A closed space of gas over a liquid: p·Vⁿ stays. It stores the volume of liquid that has come in since it stood at
 * `restPascals` absolute, V₀·(1 − (p₀/p)^(1/n)): negative when liquid has left and the gas has spread.
 */
export const gasSpace: ElementModel<GasSpace> = {
  type: 'gas-space',
  nonlinear: true,
  branch: false,
  conducts: () => false,
  stamp: () => undefined,
  amps: () => 0,
  stored: (e, across) => {
    const p = Math.max(across, LEAST_PASCALS);
    const left = e.cubicMetres * (e.restPascals / p) ** (1 / e.exponent);
    return { amount: e.cubicMetres - left, slope: left / (e.exponent * p) };
  },
};
