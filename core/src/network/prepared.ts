import { Assembly, GMIN, place, type Placed } from './assembly.ts';
import { floatingNodes } from './grounding.ts';
import { Lu } from './lu.ts';
import { Ports, type Change } from './ports.ts';
import { Rows } from './rows.ts';
import { GROUND, type Element, type NodeName, type SolveResult } from './types.ts';

const MAX_ITERATIONS = 300;
/** Newton's own step at first; where that swings to and fro about a kink (a valve's seat), shorter and shorter ones. */
export const damping = (iteration: number): number =>
  iteration < 15 ? 1 : iteration < 60 ? 0.5 : iteration < 150 ? 0.2 : 0.05;
/** A Newton step this small, relative and in volts, ends the search; as tight as the references are quoted. */
const RELATIVE = 1e-9;
const ABSOLUTE_VOLTS = 1e-9;
/** Megohms beside milliohms keep the last digits moving: after so many steps a microvolt is enough. */
const LATE = 40;
const LOOSER = 1e3;
/** Rounding in the largest unknown reaches the small ones: what it may leave behind, as a share of it. */
const ROUNDING = 1e-12;

/**
 * A network made ready to be solved often: rows numbered and places looked up once. A fault or a probe that changes a
 * few elements shares all of it and starts Newton's search where the unchanged network ended.
 */
export class Prepared {
  readonly rows: Rows;
  /** The network that this one was changed from, and what was changed; nothing where it stands for itself. */
  private readonly from: { readonly root: Prepared; readonly change: Change } | undefined;
  private all: readonly Placed[] | undefined;
  private ids: ReadonlyMap<string, Placed> | undefined;
  private unknowns: Float64Array | undefined;
  private answer: SolveResult | undefined;
  private seen: Ports | undefined;
  private own: Lu | undefined;
  private readonly leak: number;

  /** `leak`, siemens, from every node to ground: fluids, whose conductances are small figures in SI, ask for less. */
  constructor(elements: readonly Element[], leak = GMIN, from?: { root: Prepared; change: Change }) {
    this.leak = leak;
    this.rows = from?.root.rows ?? new Rows(elements);
    this.from = from;
    if (!from) this.all = elements.map((e) => place(e, this.rows));
  }

  get elements(): readonly Element[] {
    return this.placed.map((p) => p.e);
  }
  private get placed(): readonly Placed[] {
    return (this.all ??= this.withChange());
  }
  private withChange(): readonly Placed[] {
    const { root, change } = this.from!;
    const kept = root.placed.flatMap((p) => (change.has(p.e.id) ? (change.get(p.e.id) ?? []) : p));
    const beside = [...change].flatMap(([id, p]) => (p && !root.byId.has(id) ? p : []));
    return [...kept, ...beside];
  }
  private get byId(): ReadonlyMap<string, Placed> {
    return (this.ids ??= new Map(this.placed.map((p) => [p.e.id, p])));
  }
  private one(id: string): Placed | undefined {
    const { root, change } = this.from ?? { root: this, change: undefined };
    return change?.has(id) ? change.get(id) : root.byId.get(id);
  }

  /**
   * The same network with these elements in place of those with their ids, or beside them, and those of `without`
   * left out. Nothing when it would need a row that is not there: prepare afresh then.
   */
  changed(elements: readonly Element[], without: ReadonlySet<string> = new Set()): Prepared | undefined {
    if (!elements.every((e) => this.rows.holds(e))) return undefined;
    const change = new Map(this.from?.change);
    const fresh = new Set(elements.map((e) => e.id));
    for (const id of without) {
      if (fresh.has(id)) continue;
      // A row whose element has gone would be empty.
      if ((this.one(id)?.k ?? -1) >= 0) return undefined;
      change.set(id, undefined);
    }
    for (const e of elements) change.set(e.id, place(e, this.rows));
    return new Prepared([], this.leak, { root: this.from?.root ?? this, change });
  }

  /** Where the search of a network derived from this one begins: solved at need, so that order changes nothing. */
  private start(): Float64Array {
    this.operatingPoint();
    return this.unknowns ?? new Float64Array(this.rows.size);
  }

  /** Direct-current operating point by Newton steps. What cannot be solved is a code and a name, never a number. */
  operatingPoint(): SolveResult {
    return (this.answer ??= this.search());
  }

  /** Seen from where it is changed; only once it has a solution. */
  private ports(): Ports | undefined {
    if (!this.operatingPoint().ok) return undefined;
    return (this.seen ??= new Ports(this.placed, this.unknowns!, this.factorsAt(this.unknowns!)));
  }

  private search(): SolveResult {
    const quick = this.from?.root.ports()?.solve(this.from.change);
    if (quick) {
      this.unknowns = quick;
      return this.solved(quick, 1);
    }
    if (!this.placed.some((p) => p.i < 0 || p.j < 0)) return { ok: false, code: 'no-ground' };
    const cold = new Float64Array(this.rows.size);
    // Before anything is written on the bench: the base may have to be solved on it first.
    const warm = this.placed.some((p) => p.model.nonlinear) ? this.from?.root.start() : undefined;
    const found = this.searchFrom(warm ?? cold);
    // Far from its own solution the base's is a worse start than none.
    const again = warm && unsettled(found) ? this.searchFrom(cold) : found;
    return unsettled(again) ? this.searchCarefully(warm ?? cold) : again;
  }

  /** Newton's steps, each only so long as what is left over in the nodes' balances falls: for sharp bends. */
  private searchCarefully(start: Float64Array): SolveResult {
    const { straight, whole } = benchOf(this.rows.size);
    const curved = this.stampStraight(straight);
    const leftAt = (x: Float64Array) => leftOver(straight, whole, curved, x);
    let x = start;
    let left = leftAt(x);
    for (let iteration = 1; iteration <= MAX_ITERATIONS; iteration++) {
      const lu = new Lu(whole.matrix, whole.size);
      if (lu.singularColumn >= 0) return { ok: false, code: 'singular', node: this.rows.nameOf(lu.singularColumn) };
      const next = lu.solve(whole.rhs);
      const { size } = movement(x, next);
      if (size < (iteration > LATE ? LOOSER : 1)) {
        this.unknowns = next;
        return this.solved(next, iteration);
      }
      let share = 1;
      let tried = next;
      let then = leftAt(tried);
      while (!(then < left) && share > 1e-6) {
        share /= 2;
        tried = x.map((v, i) => v + share * (next[i]! - v));
        then = leftAt(tried);
      }
      [x, left] = [tried, then];
    }
    return { ok: false, code: 'not-converged', iterations: MAX_ITERATIONS, node: GROUND };
  }

  private searchFrom(start: Float64Array): SolveResult {
    const { rows } = this;
    let x = start;
    const { straight, whole } = benchOf(rows.size);
    const curved = this.stampStraight(straight);
    for (let iteration = 1; iteration <= MAX_ITERATIONS; iteration++) {
      const lu = factored(straight, whole, curved, x);
      if (lu.singularColumn >= 0) return { ok: false, code: 'singular', node: rows.nameOf(lu.singularColumn) };
      const next = lu.solve(whole.rhs);
      const { size, at } = movement(x, next);
      if (Number.isNaN(size)) return { ok: false, code: 'singular', node: rows.nameOf(at) };
      const share = size < 1 ? 1 : damping(iteration);
      x = share === 1 || curved.length === 0 ? next : x.map((v, i) => v + share * (next[i]! - v));
      if (curved.length === 0 || size < (iteration > LATE ? LOOSER : 1)) {
        this.unknowns = x;
        return this.solved(x, iteration);
      }
      if (iteration === MAX_ITERATIONS)
        return { ok: false, code: 'not-converged', iterations: iteration, node: rows.nameOf(at) };
    }
    return { ok: false, code: 'not-converged', iterations: MAX_ITERATIONS, node: GROUND };
  }

  /** Writes what is linear; gives back what is not. */
  private stampStraight(straight: Assembly): Placed[] {
    straight.clear();
    const curved: Placed[] = [];
    for (const p of this.placed) {
      if (p.model.nonlinear) curved.push(p);
      else straight.stamp(p);
    }
    straight.leak(this.rows.nodes.size, this.leak);
    return curved;
  }

  /** Factors of the network about its solution, for what is asked of it afterwards. */
  private factorsAt(x: Float64Array): Lu {
    const [straight, whole] = [new Assembly(this.rows.size), new Assembly(this.rows.size)];
    return factored(straight, whole, this.stampStraight(straight), x);
  }

  private solved(x: Float64Array, iterations: number): SolveResult {
    const at = (row: number) => (row >= 0 ? x[row]! : 0);
    const placedAt = () => this.placed;
    let floating: readonly NodeName[] | undefined;
    return {
      ok: true,
      iterations,
      unknowns: x,
      volts: (node) => {
        const row = this.rows.node(node);
        if (Number.isNaN(row)) throw new RangeError(`No node "${node}" in this network`);
        return at(row);
      },
      amps: (id) => {
        const p = this.one(id);
        if (!p) throw new RangeError(`No element "${id}" in this network`);
        return p.model.amps(p.e, at(p.i), at(p.j), at(p.k));
      },
      outputOhms: (a, b) => this.outputOhms(x, this.rows.node(a), this.rows.node(b)),
      get floating() {
        floating ??= floatingNodes(placedAt().map((p) => p.e));
        return floating;
      },
    };
  }

  private outputOhms(x: Float64Array, i: number, j: number): number {
    const { root, change } = this.from ?? { root: this, change: NOTHING };
    const quick = root.ports()?.outputOhms(change, x, i, j);
    if (quick !== undefined) return quick;
    const rhs = new Float64Array(this.rows.size);
    if (i >= 0) rhs[i] = 1;
    if (j >= 0) rhs[j]! -= 1;
    const v = (this.own ??= this.factorsAt(x)).solve(rhs);
    return (i >= 0 ? v[i]! : 0) - (j >= 0 ? v[j]! : 0);
  }
}

const NOTHING: Change = new Map();

/** Matrices to work on, one pair for each size: a solution keeps nothing of them. */
const benches = new Map<number, { straight: Assembly; whole: Assembly }>();
function benchOf(size: number) {
  let bench = benches.get(size);
  if (!bench) benches.set(size, (bench = { straight: new Assembly(size), whole: new Assembly(size) }));
  return bench;
}

const unsettled = (found: SolveResult): boolean => !found.ok && found.code === 'not-converged';

/** Writes the network linearised about `x` and gives back how far the balances of its rows are off there. */
function leftOver(straight: Assembly, whole: Assembly, curved: readonly Placed[], x: Float64Array): number {
  whole.copy(straight);
  whole.guess = x;
  for (const p of curved) whole.stamp(p);
  const { matrix, rhs, size } = whole;
  let sum = 0;
  for (let i = 0; i < size; i++) {
    let off = -rhs[i]!;
    for (let j = 0; j < size; j++) off += matrix[i * size + j]! * x[j]!;
    sum += off * off;
  }
  return sum;
}

/** Factors of the network linearised about `x`; they overwrite `whole`. */
function factored(straight: Assembly, whole: Assembly, curved: readonly Placed[], x: Float64Array): Lu {
  whole.copy(straight);
  whole.guess = x;
  for (const p of curved) whole.stamp(p);
  return new Lu(whole.matrix, whole.size);
}

/** Largest move of any unknown against its tolerance; below 1 the search has ended. */
function movement(before: Float64Array, after: Float64Array): { size: number; at: number } {
  let [size, at, largest] = [0, 0, 0];
  for (let i = 0; i < after.length; i++) largest = Math.max(largest, Math.abs(after[i]!));
  const least = ABSOLUTE_VOLTS + ROUNDING * largest;
  for (let i = 0; i < after.length; i++) {
    const moved = Math.abs(after[i]! - before[i]!) / (least + RELATIVE * Math.abs(after[i]!));
    if (!(moved <= size)) [size, at] = [moved, i];
  }
  return { size, at };
}
