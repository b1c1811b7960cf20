import { heldRpm, idleRpm, slowedBy } from '../../engine/speeds.ts';
import type { Fit } from '../../schema/fit.ts';

type Kind = NonNullable<Fit['charge']>['kind'];

/** Speeds of the engine, rev/min. */
export const engineRpm = (fit: Fit, speed: 'idle' | 'fast' = 'idle'): number =>
  speed === 'fast' ? heldRpm(fit) : idleRpm(fit);

/** What a sound machine of a kind is like. Volts are of a phase, effective; of a commutator's machine direct. */
export interface Making {
  readonly winding: 'direct' | 'single' | 'three';
  /** Turns of the machine for one of the engine. */
  readonly ratio: number;
  readonly voltsPerRpm: number;
  readonly ohms: number;
  /** Reactance for each rev/min, ohms. */
  readonly reactancePerRpm: number;
  readonly diodeVolts: number;
}

/** What a machine of a kind gives at most, amperes into a battery: where its windings' own reactance holds it. */
export function mostAmps(kind: Kind, fit: Fit): number {
  const { voltsPerRpm, reactancePerRpm } = makingOf(kind, fit);
  if (reactancePerRpm === 0) return (22 * 12) / fit.volts;
  return (
    (voltsPerRpm / reactancePerRpm) *
    (kind === 'stator-single' || kind === 'lighting-coil' ? 0.9 : 1.35) *
    (fit.charge?.wave === 'half' ? 0.5 : 1)
  );
}

/**
 * Typical figures of twelve volts: a generator of 22 A that cuts in above idle, an alternator of 40 A, three phases
 * under a flywheel of 15 A with 15–25 V a thousand rev/min between open legs, one phase of 8 A [10]. Other voltages
 * scale volts up and amperes down; a slow engine has a pulley or windings that give as much at its own speed.
 */
export function makingOf(kind: Kind, fit: Fit): Making {
  const v = fit.volts / 12;
  const { volts: ofTwelve, amps, ohms, diodeVolts, ratio, winding } = OF_TWELVE[kind];
  const belted = ratio !== 1;
  const volts = ofTwelve * v * (belted ? 1 : slowedBy(fit));
  return {
    winding,
    ratio: ratio * (belted ? slowedBy(fit) : 1),
    voltsPerRpm: volts,
    ohms: ohms * v ** 2,
    reactancePerRpm: amps === undefined ? 0 : volts / (amps / v),
    diodeVolts: kind === 'stator-single' && fit.charge?.wave === 'half' ? ONE_DIODE : diodeVolts,
  };
}
const ONE_DIODE = 0.8;

/** Of twelve volts: volts for each rev/min, and the amperes of a phase that a short takes at any speed, where that holds it [9]. */
const OF_TWELVE: Readonly<
  Record<Kind, Pick<Making, 'winding' | 'ratio' | 'diodeVolts'> & { volts: number; ohms: number; amps?: number }>
> = {
  generator: { winding: 'direct', ratio: 1.7, volts: 0.0083, ohms: 0.22, diodeVolts: 0 },
  alternator: { winding: 'three', ratio: 2.1, volts: 0.0071, ohms: 0.06, amps: 30, diodeVolts: 1.5 },
  'alternator-apart': { winding: 'three', ratio: 2.1, volts: 0.0071, ohms: 0.06, amps: 30, diodeVolts: 1.5 },
  'stator-three': { winding: 'three', ratio: 1, volts: 0.0115, ohms: 0.2, amps: 12, diodeVolts: 1.5 },
  'stator-single': { winding: 'single', ratio: 1, volts: 0.018, ohms: 0.4, amps: 10, diodeVolts: 1.5 },
  'lighting-coil': { winding: 'single', ratio: 1, volts: 0.012, ohms: 0.5, amps: 8, diodeVolts: 0 },
};
export const about = (middle: number, off = 0.08) => ({ low: middle * (1 - off), high: middle * (1 + off) });
/** Ids of the parts that this trail asks for by name. */
export const SOURCE = 'charger';
export const REGULATOR = 'charge-regulator';
export const REGULATOR_EARTH = 'regulator-earth';
export const FIELD_WIRE = 'field-wire';
export const BELT = 'belt';
export const CUTOUT = 'cut-out';
export const INDICATOR = 'charge-lamp';
