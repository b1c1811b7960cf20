import type { Filament } from '../types.ts';
import type { ElementModel } from './model.ts';

/** Current of a tungsten lamp grows as V^0.55 [11]: resistance as V^0.45, flattened to a tenth of hot near zero. */
const EXPONENT = 0.45;
const COLD_SHARE = 0.1;
/** Chosen so that the resistance at 0 V is COLD_SHARE of the hot one. */
const KNEE = COLD_SHARE ** (1 / EXPONENT);

/** Steady resistance in ohms at a steady voltage. */
export function filamentOhms(e: Filament, volts: number): number {
  const relative = (volts / e.ratedVolts) ** 2 + KNEE ** 2;
  return e.hotOhms * (relative / (1 + KNEE ** 2)) ** (EXPONENT / 2);
}

/** Current at a steady voltage, and its slope: d(v/R)/dv with R = Rh·s^(m/2), s = (v/Vr)² + k². */
export function filamentAmps(e: Filament, volts: number): { amps: number; slope: number } {
  const ohms = filamentOhms(e, volts);
  const share = (volts / e.ratedVolts) ** 2 / ((volts / e.ratedVolts) ** 2 + KNEE ** 2);
  return { amps: volts / ohms, slope: (1 - EXPONENT * share) / ohms };
}

export const filament: ElementModel<Filament> = {
  type: 'filament',
  nonlinear: true,
  branch: false,
  conducts: () => true,
  stamp(e, to) {
    const v = to.atA - to.atB;
    const { amps, slope } = filamentAmps(e, v);
    to.conductance(slope);
    to.current(amps - slope * v);
  },
  amps: (e, a, b) => filamentAmps(e, a - b).amps,
};
