import type { Waveform } from './transient/waveform.ts';

/** A node's name. `'0'` is ground: the battery's earth post on a machine, the chassis in a reference circuit. */
export type NodeName = string;
export const GROUND: NodeName = '0';

export interface Resistor {
  type: 'resistor';
  id: string;
  a: NodeName;
  b: NodeName;
  ohms: number;
}
/** Ideal; `a` is the positive end. */
export interface VoltageSource {
  type: 'voltage';
  id: string;
  a: NodeName;
  b: NodeName;
  volts: number;
  /** How it moves in a transient; `volts` is its value at the operating point. */
  wave?: Waveform;
}
/** Drives `amps` through itself from `a` to `b`: it takes current out of `a` and puts it into `b`. */
export interface CurrentSource {
  type: 'current';
  id: string;
  a: NodeName;
  b: NodeName;
  amps: number;
}
export interface Switch {
  type: 'switch';
  id: string;
  a: NodeName;
  b: NodeName;
  closed: boolean;
  onOhms: number;
  offOhms: number;
  /** Worked by a voltage: closes above `closesAt`, opens below `opensAt`, volts. */
  control?: { a: NodeName; b: NodeName; closesAt: number; opensAt: number };
}
/** Shockley junction with series resistance, anode `a`; 27 °C. */
export interface Diode {
  type: 'diode';
  id: string;
  a: NodeName;
  b: NodeName;
  saturationAmps: number;
  emission: number;
  seriesOhms: number;
}
/** Tungsten filament: about a tenth of `hotOhms` when cold, `hotOhms` at `ratedVolts`. */
export interface Filament {
  type: 'filament';
  id: string;
  a: NodeName;
  b: NodeName;
  hotOhms: number;
  ratedVolts: number;
}
/**
 * A gap that stands off `strikeVolts`, then burns as an arc of `arcVolts` and `arcOhms` until its current falls below
 * `holdAmps`. At the operating point it is open.
 */
export interface Gap {
  type: 'gap';
  id: string;
  a: NodeName;
  b: NodeName;
  strikeVolts: number;
  arcVolts: number;
  arcOhms: number;
  holdAmps: number;
}
/** v(a) − v(b) = gain · (v(controlA) − v(controlB)). */
export interface ControlledVoltage {
  type: 'controlled';
  id: string;
  a: NodeName;
  b: NodeName;
  controlA: NodeName;
  controlB: NodeName;
  gain: number;
}
/** At the operating point an inductor is a short and a capacitor is open. */
export interface Inductor {
  type: 'inductor';
  id: string;
  a: NodeName;
  b: NodeName;
  henries: number;
  initialAmps?: number;
}
export interface Capacitor {
  type: 'capacitor';
  id: string;
  a: NodeName;
  b: NodeName;
  farads: number;
  initialVolts?: number;
}

export type Element =
  Resistor | VoltageSource | CurrentSource | Switch | Diode | Filament | Inductor | Capacitor | ControlledVoltage | Gap;

/** Two inductors that share flux: M = k·√(L₁L₂), dotted at their first nodes. */
export interface Coupling {
  id: string;
  first: string;
  second: string;
  k: number;
}
/** Elements with the couplings between their inductors. */
export interface Circuit {
  readonly elements: readonly Element[];
  readonly couplings: readonly Coupling[];
}

/** A solved operating point. `amps(id)` flows from the element's first node to its second, inside it. */
export interface OperatingPoint {
  ok: true;
  volts: (node: NodeName) => number;
  amps: (id: string) => number;
  /** Ohms seen between two nodes with every source at rest, about this point (exact where all is linear). */
  outputOhms: (a: NodeName, b: NodeName) => number;
  /** Nodes with no conducting path to ground; their voltage is set by leakage alone and means nothing. */
  floating: readonly NodeName[];
  iterations: number;
}
export type SolveFailure =
  | { ok: false; code: 'no-ground' }
  | { ok: false; code: 'not-converged'; iterations: number; node: NodeName }
  | { ok: false; code: 'singular'; node: NodeName };
export type SolveResult = OperatingPoint | SolveFailure;
