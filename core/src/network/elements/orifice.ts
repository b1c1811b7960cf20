import type { Orifice } from '../types.ts';
import type { ElementModel } from './model.ts';

/** Below this pressure the flow is taken as laminar, straight through zero: a root has no slope there. Pascal. */
const LAMINAR_PASCALS = 2;

/**
 * Volume flow through a sharp hole, Q = C_d·A·√(2Δp/ρ) either way, and its slope. Cubic metres a second; SOURCES,
 * fuel. Rounded as Δp/(Δp² + δ²)^¼ near zero: 0.05 % low at a hundred times δ… and exact far above.
 */
export function orificeFlow(e: Omit<Orifice, 'type' | 'id' | 'a' | 'b'>, pascals: number) {
  const k = e.discharge * e.squareMetres * Math.sqrt(2 / e.density);
  const square = pascals * pascals + LAMINAR_PASCALS ** 2;
  const root = square ** 0.25;
  return { flow: (k * pascals) / root, slope: (k * (1 - (0.5 * pascals * pascals) / square)) / root };
}

export const orifice: ElementModel<Orifice> = {
  type: 'orifice',
  nonlinear: true,
  branch: false,
  conducts: (e) => e.squareMetres > 0,
  stamp(e, to) {
    const { flow, slope } = orificeFlow(e, to.atA - to.atB);
    to.linearised(flow, slope, -slope);
  },
  amps: (e, a, b) => orificeFlow(e, a - b).flow,
};
