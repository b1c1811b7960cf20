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
  /** How it moves in a transient; `amps` is its value at the operating point. */
  wave?: Waveform;
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
  /** What it stands off once it has burned and its gas is hot, for the rest of a run; as cold unless given. */
  restrikeVolts?: number;
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
/** A direct-current motor that turns a load steadily; see `motorAt`. Torque and speed at the shaft of the load. */
export interface Motor {
  type: 'motor';
  id: string;
  a: NodeName;
  b: NodeName;
  ohms: number;
  /** k at full flux, volts for each radian a second: newton metres for each ampere. */
  voltsPerRadian: number;
  /** Current at which a series field has half its flux; 0 for a permanent magnet. */
  saturationAmps: number;
  /** Of the load, before it turns at all and while it turns. Newton metres. */
  stillTorque: number;
  /** Newton metres for each radian a second. */
  torquePerRadian: number;
}
/** A machine that charges, averaged over its waves, with its regulator; see `chargerAmps`. `a` is the live end. */
export interface Charger {
  type: 'charger';
  id: string;
  a: NodeName;
  b: NodeName;
  /** 1 where the live end is positive against earth, −1 where it is negative. */
  sign: 1 | -1;
  winding: 'direct' | 'single' | 'three';
  halfWave: boolean;
  /** Behind a commutator; of a phase its effective value. */
  emfVolts: number;
  ohms: number;
  reactanceOhms: number;
  diodeVolts: number;
  /** Where a regulator holds back the current as well, amperes. */
  mostAmps?: number;
  /** Where the regulator lets nothing through any more, and how softly it gets there. */
  setVolts: number;
  droopOhms: number;
}
/** A battery that may be charged; see `accumulatorAmps`. */
export interface Accumulator {
  type: 'accumulator';
  id: string;
  a: NodeName;
  b: NodeName;
  sign: 1 | -1;
  restVolts: number;
  ohms: number;
  chargeOhms: number;
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

/** A sharp hole that a liquid flows through either way; effort in pascal, flow in cubic metres a second. */
export interface Orifice {
  type: 'orifice';
  id: string;
  a: NodeName;
  b: NodeName;
  squareMetres: number;
  /** C_d, 0.6 to 0.8. */
  discharge: number;
  /** Kilograms a cubic metre. */
  density: number;
}
/** Lets a liquid from `a` to `b` once the pressure across it lifts it off its seat; a check valve cracks at little. */
export interface SpringValve {
  type: 'spring-valve';
  id: string;
  a: NodeName;
  b: NodeName;
  /** Wide open. */
  squareMetres: number;
  discharge: number;
  density: number;
  crackPascals: number;
  fullPascals: number;
  /** Past the shut seat, as a share of wide open. */
  leakShare: number;
}
/** A hole between two spaces of air; effort is absolute pressure in pascal, flow kilograms a second. */
export interface GasOrifice {
  type: 'gas-orifice';
  id: string;
  a: NodeName;
  b: NodeName;
  squareMetres: number;
  discharge: number;
  /** Of the air that comes in. */
  kelvin: number;
}
/** Gas shut in over a liquid, `a` its absolute pressure against `b`; at the operating point nothing flows into it. */
export interface GasSpace {
  type: 'gas-space';
  id: string;
  a: NodeName;
  b: NodeName;
  cubicMetres: number;
  restPascals: number;
  /** n of p·Vⁿ: 1 slow, 1.4 fast. */
  exponent: number;
  initialVolts?: number;
}

export type Element =
  | Resistor
  | VoltageSource
  | CurrentSource
  | Switch
  | Diode
  | Filament
  | Motor
  | Charger
  | Accumulator
  | Inductor
  | Capacitor
  | ControlledVoltage
  | Gap
  | Orifice
  | SpringValve
  | GasOrifice
  | GasSpace;

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
  /** From every node to ground, siemens; 10⁻¹² unless given. */
  readonly leak?: number;
}

/** A solved operating point. `amps(id)` flows from the element's first node to its second, inside it. */
export interface OperatingPoint {
  ok: true;
  /** Efforts of the nodes, then flows of the branch rows. */
  readonly unknowns: Float64Array;
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
