import { ohmsAt } from './winding.ts';

/** A coil under turning magnets, one phase. SI. */
export interface StatorCoil {
  /** Open-circuit peak volts for each rev/min. */
  voltsPerRpm: number;
  polePairs: number;
  ohms20: number;
  henries: number;
  celsius: number;
}

export const statorHertz = (s: StatorCoil, rpm: number): number => (rpm / 60) * s.polePairs;
/** Open-circuit peak, volts: E = k·ω. */
export const openPeakVolts = (s: StatorCoil, rpm: number): number => s.voltsPerRpm * rpm;

/** Peak volts across a resistance: the coil's own resistance and reactance ω·L stand in its way [9]. */
export function loadedPeakVolts(s: StatorCoil, rpm: number, loadOhms: number): number {
  const reactance = 2 * Math.PI * statorHertz(s, rpm) * s.henries;
  return (openPeakVolts(s, rpm) * loadOhms) / Math.hypot(ohmsAt(s.ohms20, s.celsius) + loadOhms, reactance);
}

/** Peak amperes into a dead short. As speed rises it tends to k/L and no further: the output flattens by itself [9]. */
export function shortPeakAmps(s: StatorCoil, rpm: number): number {
  const reactance = 2 * Math.PI * statorHertz(s, rpm) * s.henries;
  return openPeakVolts(s, rpm) / Math.hypot(ohmsAt(s.ohms20, s.celsius), reactance);
}

/** What a bridge of six diodes gives from three phases with little load: 1.35·V_LL − 2·V_f (V_LL effective). Volts. */
export const bridgeVolts = (lineEffectiveVolts: number, diodeVolts = 0.8): number =>
  (3 * Math.SQRT2 * lineEffectiveVolts) / Math.PI - 2 * diodeVolts;

/**
 * Slowest speed, rev/min, at which a coil's peak reaches what is asked of it: `volts` across `loadOhms`. By bisection;
 * infinite when its reactance keeps it below at any speed.
 */
export function leastRpm(s: StatorCoil, volts: number, loadOhms: number): number {
  let [low, high] = [1, 20_000];
  if (loadedPeakVolts(s, high, loadOhms) < volts) return Infinity;
  while (high - low > 0.1) {
    const middle = (low + high) / 2;
    if (loadedPeakVolts(s, middle, loadOhms) >= volts) high = middle;
    else low = middle;
  }
  return high;
}
