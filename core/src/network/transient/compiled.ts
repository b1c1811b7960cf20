import { modelOf } from '../elements/index.ts';
import { GAP_OHMS } from '../elements/controlled.ts';
import { diodeAmps } from '../elements/diode.ts';
import { filamentAmps } from '../elements/filament.ts';
import { nodesOf } from '../operatingPoint.ts';
import { GROUND, type Circuit, type Diode, type Element, type NodeName } from '../types.ts';
import { waveAt } from './waveform.ts';

/** Leak from every node to ground, siemens. */
const GMIN = 1e-12;

interface Placed<E extends Element> {
  e: E;
  i: number;
  j: number;
  /** Row of its current, or −1. */
  k: number;
}
type Of<T extends Element['type']> = Placed<Extract<Element, { type: T }>>;

/** State of what remembers: volts of capacitors, amperes of inductors, and their rates partners. */
export interface Memory {
  capVolts: Float64Array;
  capAmps: Float64Array;
  coilAmps: Float64Array;
  coilVolts: Float64Array;
}

/**
 * A circuit made ready for stepping: rows numbered once, the part of the matrix that no step changes stamped once.
 * A step adds the companions of what remembers, the state of switches and gaps, and what is not linear.
 */
export class Compiled {
  readonly nodes = new Map<NodeName, number>();
  readonly rows = new Map<string, number>();
  readonly size: number;
  readonly caps: Of<'capacitor'>[] = [];
  readonly coils: Of<'inductor'>[] = [];
  readonly switches: Of<'switch'>[] = [];
  readonly gaps: Of<'gap'>[] = [];
  readonly sources: Of<'voltage'>[] = [];
  readonly currents: Of<'current'>[] = [];
  readonly curved: (Of<'diode'> | Of<'filament'>)[] = [];
  readonly elements: readonly Element[];
  /** Mutual inductances: mutual[p][q] in henries between coils p and q; the diagonal is their own. */
  readonly mutual: Float64Array[];
  readonly closed: boolean[];
  readonly struck: boolean[];
  private readonly fixed: Float64Array;

  constructor({ elements, couplings }: Circuit) {
    this.elements = elements;
    for (const e of elements)
      for (const n of nodesOf(e)) if (n !== GROUND && !this.nodes.has(n)) this.nodes.set(n, this.nodes.size);
    for (const e of elements) if (modelOf(e).branch) this.rows.set(e.id, this.nodes.size + this.rows.size);
    this.size = this.nodes.size + this.rows.size;
    this.fixed = new Float64Array(this.size ** 2);
    for (const e of elements) this.place(e);
    for (let i = 0; i < this.nodes.size; i++) this.fixed[i * this.size + i]! += GMIN;
    this.closed = this.switches.map(({ e }) => e.closed);
    this.struck = this.gaps.map(() => false);
    const index = new Map(this.coils.map(({ e }, p) => [e.id, p]));
    this.mutual = this.coils.map(({ e }, p) => Float64Array.from(this.coils, (_, q) => (p === q ? e.henries : 0)));
    for (const c of couplings) {
      const [p, q] = [index.get(c.first), index.get(c.second)];
      if (p === undefined || q === undefined)
        throw new RangeError(`Coupling ${c.id} names an inductor that is not there`);
      const m = c.k * Math.sqrt(this.coils[p]!.e.henries * this.coils[q]!.e.henries);
      this.mutual[p]![q] = m;
      this.mutual[q]![p] = m;
    }
  }

  row(node: NodeName): number {
    return node === GROUND ? -1 : this.nodes.get(node)!;
  }

  private place(e: Element): void {
    const [i, j, k] = [this.row(e.a), this.row(e.b), this.rows.get(e.id) ?? -1];
    const m = this.fixed;
    switch (e.type) {
      case 'resistor':
        return this.conduct(m, i, j, 1 / e.ohms);
      case 'capacitor':
        return void this.caps.push({ e, i, j, k });
      case 'inductor':
        this.incidence(m, i, j, k);
        return void this.coils.push({ e, i, j, k });
      case 'voltage':
        this.incidence(m, i, j, k);
        return void this.sources.push({ e, i, j, k });
      case 'controlled': {
        this.incidence(m, i, j, k);
        const [p, q] = [this.row(e.controlA), this.row(e.controlB)];
        if (p >= 0) m[k * this.size + p]! -= e.gain;
        if (q >= 0) m[k * this.size + q]! += e.gain;
        return;
      }
      case 'current':
        return void this.currents.push({ e, i, j, k });
      case 'switch':
        return void this.switches.push({ e, i, j, k });
      case 'gap':
        return void this.gaps.push({ e, i, j, k });
      case 'diode':
        return void this.curved.push({ e, i, j, k });
      case 'filament':
        return void this.curved.push({ e, i, j, k });
    }
  }
  private conduct(m: Float64Array, i: number, j: number, g: number): void {
    const n = this.size;
    if (i >= 0) m[i * n + i]! += g;
    if (j >= 0) m[j * n + j]! += g;
    if (i >= 0 && j >= 0) {
      m[i * n + j]! -= g;
      m[j * n + i]! -= g;
    }
  }
  private incidence(m: Float64Array, i: number, j: number, k: number): void {
    const n = this.size;
    if (i >= 0) {
      m[i * n + k]! += 1;
      m[k * n + i]! += 1;
    }
    if (j >= 0) {
      m[j * n + k]! -= 1;
      m[k * n + j]! -= 1;
    }
  }
  private drive(rhs: Float64Array, i: number, j: number, amps: number): void {
    if (i >= 0) rhs[i]! -= amps;
    if (j >= 0) rhs[j]! += amps;
  }

  /**
   * The linear part of one step of `h` seconds to time `t`: trapezoidal, or backward Euler after a break.
   * Writes into `m` and `rhs`.
   */
  linear(m: Float64Array, rhs: Float64Array, memory: Memory, t: number, h: number, trapezoidal: boolean): void {
    m.set(this.fixed);
    rhs.fill(0);
    const n = this.size;
    const scale = (trapezoidal ? 2 : 1) / h;
    this.caps.forEach(({ e, i, j }, c) => {
      const g = scale * e.farads;
      this.conduct(m, i, j, g);
      this.drive(rhs, i, j, -(g * memory.capVolts[c]! + (trapezoidal ? memory.capAmps[c]! : 0)));
    });
    this.coils.forEach(({ k }, p) => {
      let held = trapezoidal ? -memory.coilVolts[p]! : 0;
      this.coils.forEach((other, q) => {
        const z = scale * this.mutual[p]![q]!;
        if (z === 0) return;
        m[k * n + other.k]! -= z;
        held -= z * memory.coilAmps[q]!;
      });
      rhs[k] = held;
    });
    for (const { e, k } of this.sources) rhs[k] = e.wave ? waveAt(e.wave, t) : e.volts;
    for (const { e, i, j } of this.currents) this.drive(rhs, i, j, e.amps);
    this.switches.forEach(({ e, i, j }, s) => this.conduct(m, i, j, 1 / (this.closed[s] ? e.onOhms : e.offOhms)));
    this.gaps.forEach(({ e, i, j }, s) => {
      if (!this.struck[s]) return this.conduct(m, i, j, 1 / GAP_OHMS);
      // The arc's voltage stands against the current: its sign is that with which the gap struck.
      this.conduct(m, i, j, 1 / e.arcOhms);
      this.drive(rhs, i, j, (-this.polarity[s]! * e.arcVolts) / e.arcOhms);
    });
  }
  readonly polarity: number[] = [];

  /** Adds what is not linear, about the guess `x`. */
  bend(m: Float64Array, rhs: Float64Array, x: Float64Array): void {
    for (const { e, i, j } of this.curved) {
      const v = (i >= 0 ? x[i]! : 0) - (j >= 0 ? x[j]! : 0);
      const { amps, slope } = e.type === 'diode' ? junction(e, v) : filamentAmps(e, v);
      this.conduct(m, i, j, slope);
      this.drive(rhs, i, j, amps - slope * v);
    }
  }
}

function junction(e: Diode, v: number) {
  return diodeAmps(e, Math.min(v, 1e4));
}
