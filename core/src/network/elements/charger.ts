import type { Charger } from '../types.ts';
import type { ElementModel } from './model.ts';

/** Borders between "all it can" and "all it may", and at no current at all, are rounded over this many amperes. */
const ROUND = 0.05;
/** Fundamental of the voltage at a three-phase rectifier that feeds steady volts, effective over those volts; of currents. */
const THREE = { volts: Math.SQRT2 / Math.PI, amps: (3 * Math.SQRT2) / Math.PI };
const LEAST_OHMS = 1e-3;

/** Three phases: their currents are nearly sines, in phase with the terminals' fundamental: (V₁ + I·R)² + (I·X)² = E². */
function threePhases({ emfVolts: e, ohms, reactanceOhms: x }: Charger, volts: number): number {
  const r = Math.max(ohms, LEAST_OHMS);
  const v1 = THREE.volts * Math.max(0, volts);
  if (v1 >= e) return ((e - v1) / r) * THREE.amps;
  const z2 = r ** 2 + x ** 2;
  return ((-v1 * r + Math.sqrt(Math.max(0, (v1 * r) ** 2 - z2 * (v1 ** 2 - e ** 2)))) / z2) * THREE.amps;
}

/**
 * One phase: its current bends too much for that. Between two zeros of the current the winding meets a sine and steady
 * volts, i = (Ê/Z)·sin(θ−ψ) − V/R + C·exp(−(θ−φ)·R/X); it is zero at φ and at φ + π, which gives φ, C and the mean.
 */
function onePhase({ emfVolts, ohms, reactanceOhms }: Charger, volts: number): number {
  const [r, x] = [Math.max(ohms, LEAST_OHMS), Math.max(reactanceOhms, LEAST_OHMS)];
  const z = Math.hypot(r, x);
  const peak = (emfVolts * Math.SQRT2) / z;
  const steady = Math.max(0, volts) / r;
  const decay = Math.exp((-Math.PI * r) / x);
  const sine = peak > 0 ? ((steady / peak) * (1 - decay)) / (1 + decay) : Infinity;
  // Too many volts against it for a current that never rests: what little flows in gaps is left out.
  if (!(sine < 1)) return -Math.min(1, sine - 1) * 0.1;
  const flowing = steady + peak * sine;
  return (2 * peak * Math.sqrt(1 - sine ** 2)) / Math.PI - steady + (flowing * (x / r) * (1 - decay)) / Math.PI;
}

/**
 * Amperes that the machine can give into steady volts, averaged over its waves, and their slope [9]. A commutator's
 * winding is E less the drop. Within 5 % of the transient from a little above cut-in; see the tests.
 */
export function chargerCan(e: Charger, volts: number): { amps: number; slope: number } {
  if (e.winding === 'direct') {
    const free = { amps: (e.emfVolts - volts) / e.ohms, slope: -1 / e.ohms };
    return e.mostAmps === undefined ? free : lower(free, { amps: e.mostAmps, slope: 0 });
  }
  const at = (v: number) => (e.winding === 'three' ? threePhases : onePhase)(e, v + e.diodeVolts);
  const half = e.halfWave ? 0.5 : 1;
  const step = 1e-5;
  return { amps: half * at(volts), slope: (half * (at(volts + step) - at(volts - step))) / (2 * step) };
}

interface Line {
  readonly amps: number;
  readonly slope: number;
}
/** The lower of two, the border rounded. */
function lower(a: Line, b: Line): Line {
  const apart = Math.hypot(a.amps - b.amps, ROUND);
  return {
    amps: (a.amps + b.amps - apart) / 2,
    slope: (a.slope + b.slope - ((a.amps - b.amps) / apart) * (a.slope - b.slope)) / 2,
  };
}

/** The lower of what it can give and what its regulator lets through, never less than nothing; and the slope. */
export function chargerAmps(e: Charger, across: number): { amps: number; slope: number } {
  const volts = e.sign * across;
  const can = chargerCan(e, volts);
  const may = { amps: (e.setVolts - volts) / e.droopOhms, slope: -1 / e.droopOhms };
  const least = lower(can, may);
  const size = Math.hypot(least.amps, ROUND);
  const given = (least.amps + size - ROUND) / 2;
  return { amps: -e.sign * given, slope: -(least.slope * (1 + least.amps / size)) / 2 };
}

export const charger: ElementModel<Charger> = {
  type: 'charger',
  nonlinear: true,
  branch: false,
  conducts: () => true,
  stamp(e, to) {
    const v = to.atA - to.atB;
    const { amps, slope } = chargerAmps(e, v);
    to.conductance(slope);
    to.current(amps - slope * v);
  },
  amps: (e, a, b) => chargerAmps(e, a - b).amps,
};
