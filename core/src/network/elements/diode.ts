import type { Diode } from '../types.ts';
import type { ElementModel } from './model.ts';

/** kT/q at 27 °C, volts. */
const THERMAL_VOLTS = 8.617333e-5 * 300.15;
/** The series resistance is folded in by a few inner Newton steps, so that no extra node is needed. */
const INNER_STEPS = 60;

/** Current through junction and series resistance together at `volts` across both, and its slope. */
export function diodeAmps(e: Diode, volts: number): { amps: number; slope: number } {
  const scale = e.emission * THERMAL_VOLTS;
  const junctionSlope = (vj: number) => (e.saturationAmps / scale) * Math.exp(vj / scale);
  const junctionAmps = (vj: number) => e.saturationAmps * Math.expm1(vj / scale);
  let vj = volts;
  if (e.seriesOhms > 0 && volts > 0) {
    // Start at or above the solution, where Newton on this convex function falls monotonically.
    vj = Math.min(volts, scale * Math.log1p(volts / (e.seriesOhms * e.saturationAmps)));
    for (let i = 0; i < INNER_STEPS; i++) {
      const f = vj + e.seriesOhms * junctionAmps(vj) - volts;
      const step = f / (1 + e.seriesOhms * junctionSlope(vj));
      vj -= step;
      if (Math.abs(step) < 1e-14 + 1e-12 * Math.abs(vj)) break;
    }
  }
  const gj = junctionSlope(vj);
  return { amps: junctionAmps(vj), slope: gj / (1 + e.seriesOhms * gj) };
}

export const diode: ElementModel<Diode> = {
  type: 'diode',
  nonlinear: true,
  branch: false,
  conducts: () => true,
  stamp(e, to) {
    // Without series resistance the exponential is held to about 1 kA, where no diode here ever works.
    const ceiling = e.emission * THERMAL_VOLTS * Math.log(1e3 / e.saturationAmps);
    const v = Math.min(to.volts(e.a) - to.volts(e.b), e.seriesOhms > 0 ? 1e4 : ceiling);
    const { amps, slope } = diodeAmps(e, v);
    to.conductance(e.a, e.b, slope);
    to.current(e.a, e.b, amps - slope * v);
  },
  amps: (e, volts) => diodeAmps(e, volts(e.a) - volts(e.b)).amps,
};
