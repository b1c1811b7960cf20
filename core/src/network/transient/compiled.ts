import { Assembly, GMIN, place, type Placed } from '../assembly.ts';
import { GAP_OHMS } from '../elements/controlled.ts';
import { Rows } from '../rows.ts';
import type { Circuit, Element, NodeName } from '../types.ts';
import { waveAt, type Waveform } from './waveform.ts';

type Of<T extends Element['type']> = Placed<Extract<Element, { type: T }>>;

/** State of what remembers: efforts and flows of what stores, amperes and volts of coils. */
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
  readonly rows: Rows;
  readonly stores: Of<'capacitor' | 'gas-space'>[] = [];
  readonly coils: Of<'inductor'>[] = [];
  readonly switches: Of<'switch'>[] = [];
  readonly gaps: Of<'gap'>[] = [];
  readonly sources: Of<'voltage'>[] = [];
  readonly currents: Of<'current'>[] = [];
  /** Stamped afresh at each Newton step; diodes among them are watched for the moment they shut. */
  readonly curved: Placed[] = [];
  readonly diodes: Of<'diode'>[] = [];
  /** Mutual inductances: mutual[p][q] in henries between coils p and q; the diagonal is their own. */
  readonly mutual: Float64Array[];
  /** The coils q that coil p shares flux with, itself among them. */
  readonly sharing: readonly (readonly number[])[];
  readonly closed: boolean[];
  readonly struck: boolean[];
  readonly polarity: number[] = [];
  private readonly fixed: Assembly;
  private readonly bentStores: boolean;

  /** `rows` are those of a circuit with the same nodes and branches: a fault's figures change nothing of them. */
  constructor({ elements, couplings, leak = GMIN }: Circuit, rows?: Rows) {
    this.rows = rows ?? new Rows(elements);
    this.fixed = new Assembly(this.rows.size);
    for (const e of elements) this.sort(place(e, this.rows));
    this.fixed.leak(this.rows.nodes.size, leak);
    this.bentStores = this.stores.some((s) => s.model.nonlinear);
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
    this.sharing = this.mutual.map((row) => [...row.keys()].filter((q) => row[q] !== 0));
  }

  row(node: NodeName): number {
    return this.rows.node(node);
  }
  /** How the sources move. */
  get waves(): Waveform[] {
    return [...this.sources, ...this.currents].flatMap(({ e }) => (e.wave ? [e.wave] : []));
  }
  get bent(): boolean {
    return this.curved.length > 0 || this.bentStores;
  }

  private sort(placed: Placed): void {
    switch (placed.e.type) {
      case 'capacitor':
      case 'gas-space':
        return void this.stores.push(placed as Of<'capacitor' | 'gas-space'>);
      case 'current':
        return void this.currents.push(placed as Of<'current'>);
      case 'switch':
        return void this.switches.push(placed as Of<'switch'>);
      case 'gap':
        return void this.gaps.push(placed as Of<'gap'>);
      case 'inductor':
        this.coils.push(placed as Of<'inductor'>);
        break;
      case 'voltage':
        this.sources.push(placed as Of<'voltage'>);
        break;
      case 'diode':
        this.diodes.push(placed as Of<'diode'>);
        break;
      default:
    }
    if (placed.model.nonlinear) this.curved.push(placed);
    else this.fixed.stamp(placed);
  }

  /** The linear part of one step of `h` seconds to time `t`: trapezoidal, or backward Euler after a break. */
  linear(into: Assembly, memory: Memory, t: number, h: number, trapezoidal: boolean): void {
    into.copy(this.fixed);
    const { matrix, rhs, size } = into;
    const scale = (trapezoidal ? 2 : 1) / h;
    if (!this.bentStores) this.store(into, memory, h, trapezoidal);
    for (let p = 0; p < this.coils.length; p++) {
      const { k } = this.coils[p]!;
      let held = trapezoidal ? -memory.coilVolts[p]! : 0;
      for (const q of this.sharing[p]!) {
        const z = scale * this.mutual[p]![q]!;
        matrix[k * size + this.coils[q]!.k]! -= z;
        held -= z * memory.coilAmps[q]!;
      }
      rhs[k] = held;
    }
    for (const { e, k } of this.sources) if (e.wave) rhs[k] = waveAt(e.wave, t);
    for (const placed of this.currents) {
      const { amps, wave } = placed.e;
      into.to(placed).current(wave ? waveAt(wave, t) : amps);
    }
    for (let s = 0; s < this.switches.length; s++) {
      const placed = this.switches[s]!;
      into.to(placed).conductance(1 / (this.closed[s] ? placed.e.onOhms : placed.e.offOhms));
    }
    for (let s = 0; s < this.gaps.length; s++) {
      const placed = this.gaps[s]!;
      into.to(placed);
      if (!this.struck[s]) into.conductance(1 / GAP_OHMS);
      else {
        // The arc's voltage stands against the current: its sign is that with which the gap struck.
        into.conductance(1 / placed.e.arcOhms);
        into.current((-this.polarity[s]! * placed.e.arcVolts) / placed.e.arcOhms);
      }
    }
  }

  /** Adds what is not linear, about the guess that `into` carries. */
  bend(into: Assembly, memory: Memory, h: number, trapezoidal: boolean): void {
    for (const placed of this.curved) into.stamp(placed);
    if (this.bentStores) this.store(into, memory, h, trapezoidal);
  }

  /** Companions of what stores: flow = scale·(q(v) − q before) − the flow before. */
  private store(into: Assembly, memory: Memory, h: number, trapezoidal: boolean): void {
    const scale = (trapezoidal ? 2 : 1) / h;
    for (let c = 0; c < this.stores.length; c++) {
      const placed = this.stores[c]!;
      into.to(placed);
      const v = placed.model.nonlinear ? into.atA - into.atB : 0;
      const before = this.amount(c, memory.capVolts[c]!);
      const now = placed.model.stored!(placed.e, v);
      const flow = scale * (now.amount - before) - (trapezoidal ? memory.capAmps[c]! : 0);
      into.conductance(scale * now.slope);
      into.current(flow - scale * now.slope * v);
    }
  }
  /** Where any step's matrix may hold something. */
  pattern(): boolean[] {
    const n = this.rows.size;
    const filled = Array.from(this.fixed.matrix, (v) => v !== 0);
    const mark = (i: number, j: number) => {
      if (i >= 0 && j >= 0) filled[i * n + j] = true;
    };
    for (const { i, j } of [...this.stores, ...this.switches, ...this.gaps, ...this.curved])
      for (const [a, b] of [
        [i, i],
        [j, j],
        [i, j],
        [j, i],
      ] as const)
        mark(a, b);
    this.sharing.forEach((others, p) => others.forEach((q) => mark(this.coils[p]!.k, this.coils[q]!.k)));
    return filled;
  }
  amount(c: number, volts: number): number {
    const { e, model } = this.stores[c]!;
    return model.stored!(e, volts).amount;
  }
}
