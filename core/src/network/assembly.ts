import { modelOf } from './elements/index.ts';
import type { ElementModel, Stamper } from './elements/model.ts';
import type { Rows } from './rows.ts';
import type { Element } from './types.ts';

/** Leak from every node to ground, siemens, so that nodes left hanging still have an answer. */
export const GMIN = 1e-12;

/** An element with its rows looked up: −1 stands for ground, or for no row. */
export interface Placed<E extends Element = Element> {
  readonly e: E;
  readonly model: ElementModel<E>;
  readonly i: number;
  readonly j: number;
  readonly k: number;
  readonly p: number;
  readonly q: number;
}

export function place<E extends Element>(e: E, rows: Rows): Placed<E> {
  const [p, q] = e.type === 'controlled' ? [rows.node(e.controlA), rows.node(e.controlB)] : [-1, -1];
  return { e, model: modelOf(e), i: rows.node(e.a), j: rows.node(e.b), k: rows.branch(e.id), p, q };
}

/** Matrix and right-hand side of one linearised step, written by elements in their places. */
export class Assembly implements Stamper {
  readonly matrix: Float64Array;
  readonly rhs: Float64Array;
  readonly size: number;
  /** The guess about which elements that are not linear write themselves. */
  guess: Float64Array;
  private at!: Placed;

  constructor(size: number) {
    this.size = size;
    this.matrix = new Float64Array(size * size);
    this.rhs = new Float64Array(size);
    this.guess = new Float64Array(size);
  }
  clear(): void {
    this.matrix.fill(0);
    this.rhs.fill(0);
  }
  /** Makes it what another is. */
  copy(from: Assembly): void {
    this.matrix.set(from.matrix);
    this.rhs.set(from.rhs);
  }
  stamp(placed: Placed): void {
    this.at = placed;
    placed.model.stamp(placed.e, this);
  }
  /** Directs what follows to the rows of an element. */
  to(placed: Placed): this {
    this.at = placed;
    return this;
  }
  leak(nodes: number, siemens: number): void {
    for (let i = 0; i < nodes; i++) this.matrix[i * this.size + i]! += siemens;
  }

  get atA(): number {
    return this.at.i >= 0 ? this.guess[this.at.i]! : 0;
  }
  get atB(): number {
    return this.at.j >= 0 ? this.guess[this.at.j]! : 0;
  }
  conductance(g: number): void {
    const { matrix: m, size: n } = this;
    const { i, j } = this.at;
    if (i >= 0) m[i * n + i]! += g;
    if (j < 0) return;
    m[j * n + j]! += g;
    if (i < 0) return;
    m[i * n + j]! -= g;
    m[j * n + i]! -= g;
  }
  current(amps: number): void {
    const { i, j } = this.at;
    if (i >= 0) this.rhs[i]! -= amps;
    if (j >= 0) this.rhs[j]! += amps;
  }
  linearised(amps: number, perA: number, perB: number): void {
    const { matrix: m, size: n } = this;
    const { i, j } = this.at;
    if (i >= 0) m[i * n + i]! += perA;
    if (j >= 0) m[j * n + j]! -= perB;
    if (i >= 0 && j >= 0) {
      m[i * n + j]! += perB;
      m[j * n + i]! -= perA;
    }
    this.current(amps - perA * this.atA - perB * this.atB);
  }
  branch(volts: number, gain = 0): void {
    const { matrix: m, size: n } = this;
    const { i, j, k, p, q } = this.at;
    if (i >= 0) {
      m[i * n + k]! += 1;
      m[k * n + i]! += 1;
    }
    if (j >= 0) {
      m[j * n + k]! -= 1;
      m[k * n + j]! -= 1;
    }
    if (p >= 0) m[k * n + p]! -= gain;
    if (q >= 0) m[k * n + q]! += gain;
    this.rhs[k]! += volts;
  }
}
