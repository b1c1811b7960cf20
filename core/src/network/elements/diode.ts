import type { Diode } from '../types.ts';
import type { ElementModel } from './model.ts';

/** kT/q at 27 °C, volts. */
const THERMAL_VOLTS = 8.617333e-5 * 300.15;
/** The series resistance is folded in by a few inner steps of Halley's, so that no extra node is needed. */
const INNER_STEPS = 60;
/** A step this small, over the junction's scale, leaves its cube of error: beyond what a double holds. */
const LAST_STEP = 1e-4;

/** Current through junction and series resistance together at `volts` across both, and its slope. */
export function diodeAmps(e: Diode, volts: number): { amps: number; slope: number } {
  const scale = e.emission * THERMAL_VOLTS;
  let vj = volts;
  let exponential = Math.exp(vj / scale);
  if (e.seriesOhms > 0 && volts > 0) {
    // Start at or above the solution, from where the steps on this convex function fall monotonically.
    vj = Math.min(volts, scale * Math.log1p(volts / (e.seriesOhms * e.saturationAmps)));
    exponential = Math.exp(vj / scale);
    for (let i = 0; i < INNER_STEPS; i++) {
      const amps = e.saturationAmps * (exponential - 1);
      const f = vj + e.seriesOhms * amps - volts;
      const bend = (e.seriesOhms * e.saturationAmps * exponential) / scale;
      const slope = 1 + bend;
      const step = f / (slope - (f * bend) / (2 * scale * slope));
      vj -= step;
      exponential = Math.exp(vj / scale);
      if (Math.abs(step) < LAST_STEP * scale) break;
    }
  }
  const gj = (e.saturationAmps / scale) * exponential;
  const amps = e.saturationAmps * (Math.abs(vj) < 1e-3 * scale ? Math.expm1(vj / scale) : exponential - 1);
  return { amps, slope: gj / (1 + e.seriesOhms * gj) };
}

/** Held to about 1 kA without series resistance, where the exponential would overflow and no diode here works. */
function clamped(e: Diode, volts: number): number {
  const ceiling = e.seriesOhms > 0 ? 1e4 : e.emission * THERMAL_VOLTS * Math.log(1e3 / e.saturationAmps);
  return Math.min(volts, ceiling);
}

export const diode: ElementModel<Diode> = {
  type: 'diode',
  nonlinear: true,
  branch: false,
  conducts: () => true,
  stamp(e, to) {
    const v = clamped(e, to.atA - to.atB);
    const { amps, slope } = diodeAmps(e, v);
    to.conductance(slope);
    to.current(amps - slope * v);
  },
  amps: (e, a, b) => diodeAmps(e, a - b).amps,
};
