import { AIR_GAS_CONSTANT, ATMOSPHERE } from '../fluids/index.ts';
import { halved } from './halved.ts';
import { psi } from './manifold.ts';

/** Discharge of a crack past a ring or a seat. */
const DISCHARGE = 0.65;
/** Polytropic exponent of a cranked, cold cylinder: 1.4 less what its walls take [1]. */
const EXPONENT = 1.28;
/** What fills a cranked cylinder with its throttle open: so much of the air outside; kelvin. */
const FILLED = 0.96;
const COLD = 293;
/** Length of the connecting rod over the crank's throw. */
const ROD = 3.5;
/** Crank degrees before top centre at which a cylinder is shut: by its inlet valve; by its exhaust port [1]. */
export const SHUT_BEFORE = { four: 125, two: 98 } as const;
const STEPS = 40;

/** One cylinder as it is turned. */
export interface Squeezed {
  /** Swept volume, litres. */
  readonly litres: number;
  readonly ratio: number;
  /** Degrees before top centre at which nothing is open any more. */
  readonly shutBefore: number;
  readonly rpm: number;
  /** All that leaks, square metres. */
  readonly squareMetres: number;
  /** Pressure of the air outside, pascal; at sea level when it is not said. */
  readonly outside?: number;
}

/** Volume over its swept volume at crank degrees from top centre, slider and crank [1]. */
export function volumeAt(degrees: number, ratio: number): number {
  const a = (degrees * Math.PI) / 180;
  const travel = (1 - Math.cos(a) + ROD - Math.sqrt(ROD ** 2 - Math.sin(a) ** 2)) / 2;
  return 1 / (ratio - 1) + travel;
}

/** What a gauge shows that holds the highest, pascal over the air outside; share of the charge that is kept to the top. */
export interface Pressed {
  readonly pascals: number;
  readonly kept: number;
}

/** What the crank alone decides at one angle: pressure without a leak over that outside, and what a hole loses, /m²·m³/s. */
interface Angle {
  readonly pressure: number;
  readonly loses: number;
}
/** Each half step's angle, shut to top centre; the same for every machine of this crank, so worked out once. */
const strokes = new Map<string, readonly Angle[]>();
const STROKES_KEPT = 200;

function strokeOf(ratio: number, shutBefore: number, steps: number): readonly Angle[] {
  const key = `${ratio}|${shutBefore}|${steps}`;
  const known = strokes.get(key);
  if (known) return known;
  if (strokes.size >= STROKES_KEPT) strokes.clear();
  const shut = volumeAt(shutBefore, ratio);
  const made = Array.from({ length: 2 * steps + 1 }, (_, half): Angle => {
    const volume = volumeAt(shutBefore * (half / (2 * steps) - 1), ratio);
    const squeezed = shut / volume;
    const kelvin = COLD * squeezed ** (EXPONENT - 1);
    return {
      pressure: FILLED * squeezed ** EXPONENT,
      loses: (DISCHARGE * Math.sqrt(AIR_GAS_CONSTANT * kelvin)) / volume,
    };
  });
  strokes.set(key, made);
  return made;
}

/**
 * Pressure of a cylinder that leaks as it is turned: m = p·V/(R·T) with T ~ V^(1−n), and what passes the hole by the
 * isentropic flow function, dm = −C_d·A·p·ψ/√(R·T) dt. Without a leak p₀·r^n from where it shut. By midpoints over the
 * crank's angle; 40 steps stand within 0.2 % of 2000.
 */
export function pressed(c: Squeezed, steps = STEPS): Pressed {
  const stroke = strokeOf(c.ratio, c.shutBefore, steps);
  const seconds = c.shutBefore / steps / (6 * Math.max(c.rpm, 1));
  // Share of the charge that leaves in a step, over the flow function.
  const hole = (c.squareMetres * seconds) / (c.litres * 1e-3);
  let log = 0;
  let highest = FILLED;
  const loses = ({ pressure, loses: each }: Angle, logKept: number): number => {
    const now = pressure * Math.exp(logKept);
    return now <= 1 ? 0 : hole * each * psi(1 / now);
  };
  for (let k = 0; k < steps; k++) {
    const middle = log - loses(stroke[2 * k]!, log) / 2;
    log -= loses(stroke[2 * k + 1]!, middle);
    highest = Math.max(highest, stroke[2 * k + 2]!.pressure * Math.exp(log));
  }
  return { pascals: (highest - 1) * (c.outside ?? ATMOSPHERE), kept: Math.exp(log) };
}

/** Supply of a leak-down tester, pascal over the air outside, and the hole of its orifice: a millimetre across. */
const SUPPLY = 6e5;
const ORIFICE = Math.PI * 0.5e-3 ** 2;

/**
 * Share of its supply that a leak-down tester loses over its orifice when a still cylinder leaks through so many square
 * metres, piston at top centre: where the flow through both holes is the same.
 */
export function leakDown(squareMetres: number): number {
  const supply = SUPPLY + ATMOSPHERE;
  const [low] = halved(ATMOSPHERE, supply, 40, (middle) => {
    const enters = ORIFICE * supply * psi(middle / supply);
    return enters > squareMetres * middle * psi(ATMOSPHERE / middle);
  });
  return (supply - low) / SUPPLY;
}
