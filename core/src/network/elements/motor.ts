import type { Motor } from '../types.ts';
import type { ElementModel } from './model.ts';

/** Newton's steps from above on a function that curves one way; a handful are enough. */
const STEPS = 60;

/** A motor that has come to its speed: amperes through it, their slope against the volts, and radians a second. */
export interface MotorState {
  readonly amps: number;
  readonly slope: number;
  readonly speed: number;
}

/** Flux at a current, as a share: a series field saturates, a permanent magnet is always whole. */
const flux = (e: Motor, amps: number): number => (e.saturationAmps > 0 ? amps / (amps + e.saturationAmps) : 1);

/**
 * Steady state at a voltage: k·φ(I)·I = T₀ + T₁·ω once it overcomes T₀, and V = k·φ(I)·ω + I·R. The volts that a current
 * asks for grow with it all the way, so there is one answer.
 */
export function motorAt(e: Motor, volts: number): MotorState {
  const v = Math.abs(volts);
  const held = (amps: number) => e.voltsPerRadian * flux(e, amps) * amps <= e.stillTorque;
  const stalled = v / e.ohms;
  if (held(stalled)) return { amps: volts / e.ohms, slope: 1 / e.ohms, speed: 0 };
  const asks = (amps: number) => {
    const k = e.voltsPerRadian * flux(e, amps);
    const dk = e.saturationAmps > 0 ? (e.voltsPerRadian * e.saturationAmps) / (amps + e.saturationAmps) ** 2 : 0;
    const speed = Math.max(0, (k * amps - e.stillTorque) / e.torquePerRadian);
    const rise = speed > 0 ? (k + dk * amps) / e.torquePerRadian : 0;
    return { volts: k * speed + amps * e.ohms, slope: dk * speed + k * rise + e.ohms, speed };
  };
  // Between no current at all and the stalled motor's.
  let [low, high] = [0, stalled];
  let amps = stalled / 2;
  let found = asks(amps);
  for (let step = 0; step < STEPS; step++) {
    if (found.volts > v) high = amps;
    else low = amps;
    const next = amps - (found.volts - v) / found.slope;
    const moved = next > low && next < high ? next : (low + high) / 2;
    if (Math.abs(moved - amps) < 1e-12 * (1 + amps)) break;
    amps = moved;
    found = asks(amps);
  }
  return { amps: Math.sign(volts) * amps, slope: 1 / found.slope, speed: found.speed };
}

export const motor: ElementModel<Motor> = {
  type: 'motor',
  nonlinear: true,
  branch: false,
  conducts: () => true,
  stamp(e, to) {
    const v = to.atA - to.atB;
    const { amps, slope } = motorAt(e, v);
    to.conductance(slope);
    to.current(amps - slope * v);
  },
  amps: (e, a, b) => motorAt(e, a - b).amps,
};
