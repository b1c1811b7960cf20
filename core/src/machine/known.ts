import type { Element, NodeName, OperatingPoint } from '../network/index.ts';
import type { Machine } from './machine.ts';
import type { AtOf, Observable, Spark, SparkPlace, ValueOf } from './observed.ts';
import type { MachineState, PartParams } from './part.ts';

/** Figures of every part of one machine, by part id. */
export type MachineParams = Readonly<Record<string, PartParams>>;

/** A machine of these figures, nothing of what follows from a fault settled yet. */
export type AsFound = (params: MachineParams) => Known;

/** One machine with all figures known, as far as a trail needs it. */
export interface Known {
  readonly machine: Machine;
  readonly params: MachineParams;
  solve(state: MachineState): OperatingPoint;
  has(state: MachineState, node: NodeName): boolean;
  solveWith(state: MachineState, probe: readonly Element[]): OperatingPoint;
  /** What one trail tells another; asked of the trail that offers it, else of the sound engine. Throws on a circle. */
  see<K extends Observable>(key: K, state: MachineState, at?: AtOf<K>): ValueOf<K>;
  /** `see('spark', …)` in short. */
  spark(place: SparkPlace, state: MachineState, cylinder: number, gapMetres?: number): Spark;
}
