import { modelOf } from './elements/index.ts';
import type { Stamper } from './elements/model.ts';
import { floatingNodes } from './grounding.ts';
import { Lu } from './lu.ts';
import { GROUND, type Element, type NodeName, type SolveResult } from './types.ts';

/** Leak from every node to ground, siemens, so that nodes left hanging still have an answer. */
const GMIN = 1e-12;
const MAX_ITERATIONS = 200;
/** A Newton step this small, relative and in volts, ends the search; as tight as the references are quoted. */
const RELATIVE = 1e-9;
const ABSOLUTE_VOLTS = 1e-9;
/** Rounding in the largest unknown reaches the small ones: what it may leave behind, as a share of it. */
const ROUNDING = 1e-12;

interface Unknowns {
  nodes: Map<NodeName, number>;
  branches: Map<string, number>;
  size: number;
}

/** Every node that an element touches or looks at. */
export const nodesOf = (e: Element): NodeName[] =>
  e.type === 'controlled' ? [e.a, e.b, e.controlA, e.controlB] : [e.a, e.b];

function number(elements: readonly Element[]): Unknowns {
  const nodes = new Map<NodeName, number>();
  const branches = new Map<string, number>();
  for (const e of elements)
    for (const node of nodesOf(e)) if (node !== GROUND && !nodes.has(node)) nodes.set(node, nodes.size);
  for (const e of elements) if (modelOf(e).branch) branches.set(e.id, nodes.size + branches.size);
  return { nodes, branches, size: nodes.size + branches.size };
}

/** Matrix and right-hand side of one linearised step. */
class Assembly implements Stamper {
  readonly matrix: Float64Array;
  readonly rhs: Float64Array;
  private readonly unknowns: Unknowns;
  private readonly guess: Float64Array;

  constructor(unknowns: Unknowns, guess: Float64Array) {
    this.unknowns = unknowns;
    this.guess = guess;
    this.matrix = new Float64Array(unknowns.size ** 2);
    this.rhs = new Float64Array(unknowns.size);
  }
  private row(node: NodeName): number {
    return node === GROUND ? -1 : this.unknowns.nodes.get(node)!;
  }
  private add(i: number, j: number, value: number): void {
    if (i >= 0 && j >= 0) this.matrix[i * this.unknowns.size + j]! += value;
  }
  volts(node: NodeName): number {
    return node === GROUND ? 0 : this.guess[this.row(node)]!;
  }
  conductance(a: NodeName, b: NodeName, siemens: number): void {
    const [i, j] = [this.row(a), this.row(b)];
    this.add(i, i, siemens);
    this.add(j, j, siemens);
    this.add(i, j, -siemens);
    this.add(j, i, -siemens);
  }
  current(a: NodeName, b: NodeName, amps: number): void {
    const [i, j] = [this.row(a), this.row(b)];
    if (i >= 0) this.rhs[i]! -= amps;
    if (j >= 0) this.rhs[j]! += amps;
  }
  branch(
    id: string,
    a: NodeName,
    b: NodeName,
    volts: number,
    control?: { a: NodeName; b: NodeName; gain: number },
  ): void {
    const k = this.unknowns.branches.get(id)!;
    const [i, j] = [this.row(a), this.row(b)];
    this.add(i, k, 1);
    this.add(j, k, -1);
    this.add(k, i, 1);
    this.add(k, j, -1);
    if (control) {
      this.add(k, this.row(control.a), -control.gain);
      this.add(k, this.row(control.b), control.gain);
    }
    this.rhs[k] = volts;
  }
  leak(): void {
    for (let i = 0; i < this.unknowns.nodes.size; i++) this.add(i, i, GMIN);
  }
}

function nameOf(unknowns: Unknowns, index: number): string {
  for (const [name, i] of [...unknowns.nodes, ...unknowns.branches]) if (i === index) return name;
  return GROUND;
}

/** Largest move of any unknown against its tolerance; below 1 the search has ended. */
function movement(before: Float64Array, after: Float64Array): { size: number; at: number } {
  let [size, at] = [0, 0];
  const rounding = ROUNDING * after.reduce((most, v) => Math.max(most, Math.abs(v)), 0);
  for (let i = 0; i < after.length; i++) {
    const allowed = ABSOLUTE_VOLTS + RELATIVE * Math.abs(after[i]!) + rounding;
    const moved = Math.abs(after[i]! - before[i]!) / allowed;
    if (!(moved <= size)) [size, at] = [moved, i];
  }
  return { size, at };
}

/**
 * Direct-current operating point by modified nodal analysis [6] and Newton steps. Volts against node '0'.
 * What cannot be solved is a result with a code and a name, never a number.
 */
export function solveOperatingPoint(elements: readonly Element[]): SolveResult {
  if (!elements.some((e) => e.a === GROUND || e.b === GROUND)) return { ok: false, code: 'no-ground' };
  const unknowns = number(elements);
  const nonlinear = elements.some((e) => modelOf(e).nonlinear);
  let x: Float64Array = new Float64Array(unknowns.size);
  for (let iteration = 1; iteration <= MAX_ITERATIONS; iteration++) {
    const assembly = new Assembly(unknowns, x);
    for (const e of elements) modelOf(e).stamp(e, assembly);
    assembly.leak();
    const lu = new Lu(assembly.matrix, unknowns.size);
    if (lu.singularColumn >= 0) return { ok: false, code: 'singular', node: nameOf(unknowns, lu.singularColumn) };
    const next = lu.solve(assembly.rhs);
    const { size, at } = movement(x, next);
    if (Number.isNaN(size)) return { ok: false, code: 'singular', node: nameOf(unknowns, at) };
    x = next;
    if (!nonlinear || size < 1) return solved(elements, unknowns, x, lu, iteration);
    if (iteration === MAX_ITERATIONS)
      return { ok: false, code: 'not-converged', iterations: iteration, node: nameOf(unknowns, at) };
  }
  return { ok: false, code: 'not-converged', iterations: MAX_ITERATIONS, node: GROUND };
}

function solved(
  elements: readonly Element[],
  unknowns: Unknowns,
  x: Float64Array,
  lu: Lu,
  iterations: number,
): SolveResult {
  const volts = (node: NodeName): number => {
    if (node === GROUND) return 0;
    const i = unknowns.nodes.get(node);
    if (i === undefined) throw new RangeError(`No node "${node}" in this network`);
    return x[i]!;
  };
  let floating: readonly NodeName[] | undefined;
  return {
    ok: true,
    iterations,
    volts,
    amps: (id) => {
      const e = elements.find((candidate) => candidate.id === id);
      if (!e) throw new RangeError(`No element "${id}" in this network`);
      return modelOf(e).amps(e, volts, x[unknowns.branches.get(id) ?? -1] ?? NaN);
    },
    outputOhms: (a, b) => {
      const rhs = new Float64Array(unknowns.size);
      const [i, j] = [unknowns.nodes.get(a) ?? -1, unknowns.nodes.get(b) ?? -1];
      if (i >= 0) rhs[i] = 1;
      if (j >= 0) rhs[j] = -1;
      const v = lu.solve(rhs);
      return (i >= 0 ? v[i]! : 0) - (j >= 0 ? v[j]! : 0);
    },
    get floating() {
      floating ??= floatingNodes(elements);
      return floating;
    },
  };
}
