import { Prepared, type Element, type NodeName, type OperatingPoint } from '../network/index.ts';
import { Footprint } from './footprint.ts';
import type { Known, MachineParams } from './known.ts';
import type { Machine } from './machine.ts';
import {
  sightId,
  SOUND_ENGINE,
  type AtOf,
  type Observable,
  type Offer,
  type Spark,
  type SparkPlace,
  type ValueOf,
} from './observed.ts';
import { figuresIn, type MachineState, type PartInstance } from './part.ts';
import { figuresBeside, FiguresRead, type Beside } from './settling.ts';
import { keyOf, stateNumber } from './state.ts';

/** The figures given leave a network that has no answer. */
export class NoSolution extends Error {}

/** Two solutions in which no effort differs by more than this, and this share of it, read alike on every instrument. */
const ALIKE = 2e-5;
const ALIKE_SHARE = 2e-4;

/** States with everything that moves in its place: some tens for any machine. */
const settledStates = new Map<string, MachineState>();

/** A machine in the state in which an instrument finds it, all figures known. What was solved is kept by state. */
export class Scene implements Known {
  readonly machine: Machine;
  readonly params: MachineParams;
  /** Its parts with their figures, for its own use: what it reads of them is nobody's footprint. */
  private readonly figures: MachineParams;
  private readonly base: Scene | undefined;
  /** Its figures before anything had followed from them. */
  private readonly given: MachineParams;
  private before: Scene | undefined;
  private readonly alone: readonly Scene[];
  private readonly seen: Footprint | undefined;
  /** Parts whose figures are not those of the base: its fault, and what followed from it. */
  private readonly differing: readonly PartInstance[];
  /** By the state's number, as the networks are and what it settles to. */
  private readonly solutions: Map<number, OperatingPoint>;
  private readonly networks: Map<number, Prepared>;
  private readonly bench = new Map<string, Prepared>();
  private readonly sights: Map<number | string, unknown>;
  private readonly footprints = new Map<number | string, Footprint>();
  private readonly asking: Set<number | string>;
  private readonly settledTo = new Map<number, MachineState>();
  private readonly unlike = new Map<number, boolean>();
  private reads: FiguresRead | undefined;

  /**
   * `base` is the same machine without its fault: what it has prepared serves here too. `seen` keeps account of what is
   * read. Of two faults, `alone` are the machines with each: what only one of them can change is that one's.
   */
  constructor(machine: Machine, params: MachineParams, base?: Scene, seen?: Footprint, alone: readonly Scene[] = []) {
    this.machine = machine;
    this.base = base;
    this.alone = alone;
    this.given = params;
    const { figures, differing } =
      base && !seen ? this.besideOf(base, params) : { figures: this.settle(params, seen), differing: [] };
    this.figures = figures;
    this.params = seen ? seen.watching(this.figures) : this.figures;
    this.seen = seen;
    this.differing = differing;
    // A fault on the spark's side leaves the low-voltage network as it is.
    const same = base !== undefined && this.differing.every((p) => p.apart);
    this.solutions = same ? base.solutions : new Map();
    this.networks = same ? base.networks : new Map();
    this.sights = seen && base ? base.sights : new Map();
    this.asking = seen && base ? base.asking : new Set();
  }

  private settle(params: MachineParams, seen?: Footprint): MachineParams {
    return seen ? params : this.machine.settle(params, (p) => (p === params ? this.unsettled : this.found(p)));
  }
  /** What is read of it as it settles; what fails elsewhere settles as this machine has. */
  private get settlingReads(): FiguresRead {
    if (!this.reads) {
      this.reads = new FiguresRead();
      const found = (p: MachineParams) => new Scene(this.machine.unsettled, p);
      this.machine.settle(this.reads.watching(this.given), found);
    }
    return this.reads;
  }

  /** Settled figures beside the base's, and the parts that differ. */
  private besideOf(base: Scene, given: MachineParams): Beside {
    const changed = this.machine.parts.filter(({ id }) => given[id] !== base.given[id]);
    if (this.machine.unsettled === this.machine) return { figures: given, differing: changed };
    const alone = ({ id, apart }: PartInstance) =>
      apart && base.figures[id] === base.given[id] && base.settlingReads.ignores(id, base.given[id]!, given[id]!);
    if (!changed.every(alone)) return figuresBeside(this.machine.parts, given, this.settle(given), base.figures);
    const own = Object.fromEntries(changed.map(({ id }) => [id, given[id]!]));
    return { figures: { ...base.figures, ...own }, differing: changed };
  }
  /** The same machine before anything has followed from its fault. */
  private get unsettled(): Scene {
    return (this.before ??= this.found(
      this.given,
      this.alone.map((one) => one.unsettled),
    ));
  }
  private found(params: MachineParams, alone?: readonly Scene[]): Scene {
    return new Scene(this.machine.unsettled, params, this.base?.unsettled, undefined, alone);
  }

  private elementsOf(part: PartInstance, state: MachineState, onBench = false): Element[] {
    return part.kind.elements(figuresIn(part, this.figures[part.id]!, state, this.machine.fit), {
      id: part.id,
      nodes: part.nodes,
      fit: this.machine.fit,
      state,
      ...(onBench ? { onBench } : {}),
    });
  }
  private connected(state: MachineState, part: PartInstance, only?: string): boolean {
    return only === undefined ? !part.apart && !(state.unplugged ?? []).includes(part.id) : part.id === only;
  }

  /** The network of a state; `only` leaves one part on the bench, with nothing else connected. */
  elements(given: MachineState, only?: string): Element[] {
    const state = only === undefined ? this.settledState(given) : given;
    return this.machine.parts
      .filter((p) => this.connected(state, p, only))
      .flatMap((p) => this.elementsOf(p, state, only !== undefined));
  }

  /** The same machine, keeping account of what is read of it. */
  watched(): { scene: Scene; footprint: Footprint } {
    const footprint = new Footprint();
    return { scene: new Scene(this.machine, this.figures, this, footprint), footprint };
  }

  /** Whether what differs from the base can change a reading of this footprint. */
  touches({ parts, states, probed }: Footprint): boolean {
    let wired = false;
    for (const { id, apart } of this.differing) {
      if (parts.has(id)) return true;
      wired ||= !apart;
    }
    if (!wired) return false;
    if (probed) return true;
    for (const state of states.values()) if (this.readsUnlikeBase(state)) return true;
    return false;
  }
  /** Whether any effort or flow of a state is not what it is on the base. */
  private readsUnlikeBase(state: MachineState): boolean {
    const key = stateNumber(state);
    let known = this.unlike.get(key);
    if (known === undefined) {
      const [own, other] = [this.solve(state).unknowns, this.base!.solve(state).unknowns];
      known =
        own.length !== other.length ||
        own.some((v, i) => !(Math.abs(v - other[i]!) <= ALIKE + ALIKE_SHARE * Math.abs(other[i]!)));
      this.unlike.set(key, known);
    }
    return known;
  }

  /** The state with what moves by itself standing where this machine's own volts bring it. */
  private settledState(state: MachineState): MachineState {
    if (state.key !== 'crank' || state.at || !this.machine.offers.positions) return state;
    const key = stateNumber(state);
    let own = this.settledTo.get(key);
    if (!own) this.settledTo.set(key, (own = this.settles(state)));
    return own;
  }
  private settles(state: MachineState): MachineState {
    const at = this.see('positions', state);
    // Kept by what it was and what it became: its name is then made once.
    const key = `${keyOf(state)}|${Object.entries(at).flat().join()}`;
    let known = settledStates.get(key);
    if (!known) settledStates.set(key, (known = { ...state, at }));
    return known;
  }

  /** The network of a state made ready: the base's own with the differing parts' elements put in, where there is one. */
  network(given: MachineState, only?: string): Prepared {
    const state = only === undefined ? this.settledState(given) : given;
    this.seen?.noteProbe(only);
    return this.prepared(state, only);
  }
  private prepared(state: MachineState, only?: string): Prepared {
    return only === undefined ? this.whole(state) : this.onBench(state, only);
  }
  private whole(state: MachineState): Prepared {
    const key = stateNumber(state);
    let known = this.networks.get(key);
    if (!known) this.networks.set(key, (known = this.fromBase(state) ?? new Prepared(this.elements(state))));
    return known;
  }
  /** A part of the spark's side is met there too: it is the base's only where the part itself is. */
  private onBench(state: MachineState, only: string): Prepared {
    if (this.base && !this.differing.some((p) => p.id === only)) return this.base.onBench(state, only);
    const key = `${keyOf(state)}|${only}`;
    let known = this.bench.get(key);
    if (!known) this.bench.set(key, (known = this.fromBase(state, only) ?? new Prepared(this.elements(state, only))));
    return known;
  }
  private fromBase(state: MachineState, only?: string): Prepared | undefined {
    if (!this.base) return undefined;
    const differing = this.differing.filter((p) => this.connected(state, p, only));
    const base = this.base.prepared(state, only);
    if (differing.length === 0) return base;
    const fresh = differing.flatMap((p) => this.elementsOf(p, state, only !== undefined));
    const gone = new Set(differing.flatMap((p) => this.base!.elementsOf(p, state)).map((e) => e.id));
    return base.changed(fresh, gone);
  }

  /** Operating point of the machine as it stands. Throws NoSolution where its figures leave none. */
  solve(given: MachineState): OperatingPoint {
    const state = this.settledState(given);
    this.seen?.noteState(state);
    const key = stateNumber(state);
    let known = this.solutions.get(key);
    if (!known) {
      known = this.oneAlone(given)?.solve(given) ?? this.solved(this.prepared(state), () => keyOf(state));
      this.solutions.set(key, known);
    }
    return this.seen ? this.seen.watchingPoint(known) : known;
  }

  /** Of two faults: the machine with the one that alone changes a state's efforts and flows; the base where neither does. */
  private oneAlone(state: MachineState): Scene | undefined {
    if (this.alone.length < 2) return undefined;
    const telling = this.alone.filter((one) => one.readsUnlikeBase(state));
    return telling.length > 1 ? undefined : (telling[0] ?? this.base);
  }

  /** With a probe's own element added, for what loads the circuit or drives it. */
  solveWith(given: MachineState, probe: readonly Element[], only?: string): OperatingPoint {
    const state = only === undefined ? this.settledState(given) : given;
    const network = this.network(state, only);
    const probed = network.changed(probe) ?? new Prepared([...this.elements(state, only), ...probe]);
    return this.solved(probed, () => `${keyOf(state)} with a probe`);
  }

  private solved(network: Prepared, where: () => string): OperatingPoint {
    const result = network.operatingPoint();
    if (!result.ok) {
      const kinds = this.machine.trails.map((t) => t.kind).join(', ');
      throw new NoSolution(`Machine (${kinds}) does not solve in ${where()}: ${result.code}`);
    }
    return result;
  }

  /** Whether the state's network has this node at all. */
  has(state: MachineState, node: NodeName): boolean {
    return node === '0' || this.prepared(state).rows.nodes.has(node);
  }

  see<K extends Observable>(key: K, state: MachineState, at?: AtOf<K>): ValueOf<K> {
    const id = sightId(key, stateNumber(state), at);
    const kept = this.seen ? this.base! : this;
    let known = kept.sights.get(id) as ValueOf<K> | undefined;
    if (known === undefined) kept.sights.set(id, (known = kept.look(key, state, at, id)));
    if (this.seen) this.seen.include(kept.footprints.get(id)!);
    return known;
  }
  private look<K extends Observable>(
    key: K,
    state: MachineState,
    at: AtOf<K> | undefined,
    id: number | string,
  ): ValueOf<K> {
    if (key === 'rpm' && state.rpm !== undefined) {
      if (!this.base) this.footprints.set(id, new Footprint());
      return state.rpm as ValueOf<K>;
    }
    if (this.base) {
      const same = this.base.see(key, state, at);
      const footprint = this.base.footprints.get(id)!;
      if (!this.touches(footprint)) return same;
      const telling = this.alone.filter((one) => one.touches(footprint));
      if (this.alone.length > 1 && telling.length === 1) return telling[0]!.see(key, state, at);
    }
    if (this.asking.has(id)) throw new RangeError(`"${key}" asks for itself in ${keyOf(state)}`);
    this.asking.add(id);
    try {
      const offer = (this.machine.offers[key] ?? SOUND_ENGINE[key]) as Offer<K>;
      if (this.base) return offer(this, state, at as AtOf<K>);
      // Of a sound machine: what it depends on is kept, for every fault is held against it.
      const { scene, footprint } = this.watched();
      const value = offer(scene, state, at as AtOf<K>);
      this.footprints.set(id, footprint);
      return value;
    } finally {
      this.asking.delete(id);
    }
  }

  spark(place: SparkPlace, state: MachineState, cylinder: number, gapMetres?: number): Spark {
    return this.see('spark', state, { place, cylinder, ...(gapMetres === undefined ? {} : { gapMetres }) });
  }
}
