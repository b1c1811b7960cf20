import type { FiringPlan } from '../ignition/index.ts';
import type { Element, NodeName, OperatingPoint } from '../network/index.ts';
import type { MachineState, PartInstance, PartParams } from '../parts/index.ts';
import type { FitOut } from '../schema/machine.ts';

export interface Station {
  readonly id: string;
  readonly label: string;
  /** What goes into the small drawing: the web names a picture by this. */
  readonly picture: string;
  readonly joint?: boolean;
  /** A side line of the trail, by its name, and the station of the main line that it comes in at. */
  readonly lane?: { readonly name: string; readonly joins: string };
}

/** Figures of every part of one machine, by part id. */
export type MachineParams = Readonly<Record<string, PartParams>>;

/** Where a spark is looked for. */
export type SparkPlace = 'coil lead' | 'plug lead' | 'plug';

/** What the coil can raise at a place, against what is asked there. Volts and joules. */
export interface Spark {
  readonly availableVolts: number;
  readonly requiredVolts: number;
  readonly joules: number;
}

/** One machine with all figures known, as far as a layout needs it. */
export interface Known {
  readonly layout: Layout;
  readonly params: MachineParams;
  solve(state: MachineState): OperatingPoint;
  has(state: MachineState, node: NodeName): boolean;
  solveWith(state: MachineState, probe: readonly Element[]): OperatingPoint;
}

export interface Layout {
  readonly kind: string;
  readonly fit: FitOut;
  readonly stations: readonly Station[];
  readonly parts: readonly PartInstance[];
  /** Words for a node, as the mechanic would say it. */
  readonly nodeNames: Readonly<Record<NodeName, string>>;
  /** What follows from a fault before anyone measures: a short that has melted its fuse. */
  readonly settle: (params: MachineParams) => MachineParams;
  readonly spark: (scene: Known, place: SparkPlace, state: MachineState, cylinder: number, gapMetres?: number) => Spark;
  /** Degrees of the crank by which the sparks come at the wrong moment; left out where nothing here can shift them. */
  readonly outOfTime?: (scene: Known) => number;
  /** One firing of a cylinder as a circuit for the transient; without `sparks` the lead is off. */
  readonly firing: (scene: Known, state: MachineState, cylinder: number, sparks: boolean) => FiringPlan;
  /** Share of the time that the coil's switch is closed as the engine turns; where a meter can average over it. */
  readonly onShare?: (scene: Known) => number;
  /** Volts left for the whole machine while the starter turns, over the nominal voltage. */
  readonly crankingShare: (scene: Known) => number;
}

/** A kind of trail: builds a layout from what the machine has. One file each. */
export interface LayoutKind {
  readonly kind: string;
  readonly label: string;
  readonly build: (fit: FitOut) => Layout;
}
