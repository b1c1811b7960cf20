import type { Fit } from '../../schema/fit.ts';
import { makingOf } from './making.ts';

/** What is left in the rotor's iron, as a share of the flux of its full field. */
const LEFT_IN_IRON = 0.005;
/** Rectified volts of three phases with nothing drawn, over the effective volts of one: 3·√6/π. */
const RECTIFIED = (3 * Math.sqrt(6)) / Math.PI;

/**
 * Share of its full flux that a field current makes: iron that carries half as much as it would without saturating at
 * the full field (Fröhlich's curve, φ = I/(I + Iₖ)) [9]; and what stays in it. Amperes.
 */
export function fluxShare(amps: number, fullAmps: number): number {
  return LEFT_IN_IRON + (1 - LEFT_IN_IRON) * ((2 * amps) / (amps + fullAmps));
}

/**
 * Speed of the engine from which an alternator feeds its own field: there its rectified volts pass two diodes and what
 * the lamp's current already leaves over the rotor. Rev/min; Infinity where its field is open or nothing turns it.
 */
export function startsAtRpm(
  fit: Fit,
  fieldOhms: number,
  excitingAmps: number,
  share = 1,
  voltsPerRpm?: number,
): number {
  const making = makingOf(fit.charge!.kind, fit);
  const fullAmps = fit.volts / fieldOhms;
  const asked = making.diodeVolts + excitingAmps * fieldOhms;
  const flux = fluxShare(excitingAmps, fullAmps) * share;
  const given = RECTIFIED * (voltsPerRpm ?? making.voltsPerRpm) * flux * making.ratio;
  return given > 0 ? asked / given : Infinity;
}
