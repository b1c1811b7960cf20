import type { Element, NodeName } from '../types.ts';

/** Where an element writes itself: conductance matrix and right-hand side of modified nodal analysis [6]. */
export interface Stamper {
  /** The present guess of a node's voltage, for elements that are not linear. */
  volts(node: NodeName): number;
  conductance(a: NodeName, b: NodeName, siemens: number): void;
  /** A current `amps` that leaves `a` and enters `b`. */
  current(a: NodeName, b: NodeName, amps: number): void;
  /** Branch row of an ideal source: v(a) − v(b) − gain·(v(control a) − v(control b)) = volts. */
  branch(
    id: string,
    a: NodeName,
    b: NodeName,
    volts: number,
    control?: { a: NodeName; b: NodeName; gain: number },
  ): void;
}

/** What an element is to the solver. One kind of element, one file, one of these. */
export interface ElementModel<E extends Element> {
  readonly type: E['type'];
  /** True when it must be stamped afresh at every Newton step. */
  readonly nonlinear: boolean;
  /** True when it needs a row of its own for its current. */
  readonly branch: boolean;
  /** True when it holds its two nodes together for the question "is there a path to ground?". */
  conducts(element: E): boolean;
  stamp(element: E, to: Stamper): void;
  /** Current from first to second node; `branchAmps` is the solved row of a branch element. */
  amps(element: E, volts: (node: NodeName) => number, branchAmps: number): number;
}
