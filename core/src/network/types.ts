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
/** At the operating point an inductor is a short and a capacitor is open. */
export interface Inductor {
  type: 'inductor';
  id: string;
  a: NodeName;
  b: NodeName;
  henries: number;
}
export interface Capacitor {
  type: 'capacitor';
  id: string;
  a: NodeName;
  b: NodeName;
  farads: number;
}

export type Element = Resistor | VoltageSource | CurrentSource | Switch | Diode | Filament | Inductor | Capacitor;

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
