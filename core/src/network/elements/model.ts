import type { Element } from '../types.ts';

/** Where an element writes itself: one row of modified nodal analysis for each unknown [6]. */
export interface Stamper {
  /** Present guess of the effort at the first and second node, for elements that are not linear. */
  readonly atA: number;
  readonly atB: number;
  conductance(siemens: number): void;
  /** A flow that leaves the first node and enters the second. */
  current(amps: number): void;
  /** A flow from first to second node with its slopes against the two efforts, about the present guess. */
  linearised(amps: number, perA: number, perB: number): void;
  /** Branch row of an ideal source: v(a) − v(b) − gain·(v(control a) − v(control b)) = volts. */
  branch(volts: number, gain?: number): void;
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
  amps(element: E, atA: number, atB: number, branchAmps: number): number;
  /** What it holds at an effort across it (coulombs, cubic metres), and the slope of that; only for what stores. */
  stored?(element: E, across: number): { amount: number; slope: number };
}
