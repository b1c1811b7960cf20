import type { GasOrifice } from '../types.ts';
import type { ElementModel } from './model.ts';

/** Ratio of specific heats of air. */
const GAMMA = 1.4;
const CRITICAL = (2 / (GAMMA + 1)) ** (GAMMA / (GAMMA - 1));
/** From this pressure ratio up to 1 the curve is replaced by a straight line: its slope has no end at 1. */
const LAMINAR_RATIO = 0.9995;

/** Flow function ψ(p/p₀), choked 0.685 below 0.528 [1][7], and its slope. */
export function psi(ratio: number): { value: number; slope: number } {
  if (ratio <= CRITICAL)
    return { value: Math.sqrt(GAMMA * (2 / (GAMMA + 1)) ** ((GAMMA + 1) / (GAMMA - 1))), slope: 0 };
  if (ratio > LAMINAR_RATIO) {
    const at = psi(LAMINAR_RATIO).value;
    return { value: (at * (1 - ratio)) / (1 - LAMINAR_RATIO), slope: -at / (1 - LAMINAR_RATIO) };
  }
  const [m, n] = [2 / GAMMA, (GAMMA + 1) / GAMMA];
  const inside = ((2 * GAMMA) / (GAMMA - 1)) * (ratio ** m - ratio ** n);
  const value = Math.sqrt(inside);
  const slope = (((2 * GAMMA) / (GAMMA - 1)) * (m * ratio ** (m - 1) - n * ratio ** (n - 1))) / (2 * value);
  return { value, slope };
}

/** Specific gas constant of air, J/(kg·K). */
export const AIR_GAS_CONSTANT = 287;
/** The solver may guess a vacuum beyond a vacuum on its way. */
const LEAST_PASCALS = 1;

/**
 * Mass flow of air through a hole between absolute pressures, ṁ = C_d·A·p₀/√(R·T₀)·ψ(p/p₀), from the higher to the
 * lower [1][7]. Kilograms a second, with its slopes against the two pressures.
 */
export function gasFlow(e: Omit<GasOrifice, 'type' | 'id' | 'a' | 'b'>, atA: number, atB: number) {
  const [a, b] = [Math.max(atA, LEAST_PASCALS), Math.max(atB, LEAST_PASCALS)];
  const forward = a >= b;
  const [from, to] = forward ? [a, b] : [b, a];
  const k = (e.discharge * e.squareMetres) / Math.sqrt(AIR_GAS_CONSTANT * e.kelvin);
  const { value, slope } = psi(to / from);
  const flow = k * from * value;
  const [perFrom, perTo] = [k * (value - (to / from) * slope), k * slope];
  return forward ? { flow, perA: perFrom, perB: perTo } : { flow: -flow, perA: -perTo, perB: -perFrom };
}

export const gasOrifice: ElementModel<GasOrifice> = {
  type: 'gas-orifice',
  nonlinear: true,
  branch: false,
  conducts: (e) => e.squareMetres > 0,
  stamp(e, to) {
    const { flow, perA, perB } = gasFlow(e, to.atA, to.atB);
    to.linearised(flow, perA, perB);
  },
  amps: (e, a, b) => gasFlow(e, a, b).flow,
};
