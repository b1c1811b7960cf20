import { Prepared, type Element, type NodeName, type OperatingPoint } from '../network/index.ts';
import { Footprint } from './footprint.ts';
import type { Known, MachineParams } from './known.ts';
import type { Machine } from './machine.ts';
import {
  SOUND_ENGINE,
  type AtOf,
  type Observable,
  type Offer,
  type Spark,
  type SparkPlace,
  type ValueOf,
} from './observed.ts';
import { figuresIn, type MachineState, type PartInstance } from './part.ts';
import { keyOf } from './state.ts';

/** The figures given leave a network that has no answer. */
export class NoSolution extends Error {}

/** Two solutions in which no effort differs by more than this, and this share of it, read alike on every instrument. */
const ALIKE = 2e-5;
const ALIKE_SHARE = 2e-4;

/** States with everything that moves in its place: some tens for any machine. */
const settledStates = new Map<string, MachineState>();

/** Names where an observable is asked for. */
const placeKey = (at: object): string => Object.values(at).join();

/** A machine in the state in which an instrument finds it, all figures known. What was solved is kept by state. */
export class Scene implements Known {
  readonly machine: Machine;
  readonly params: MachineParams;
  /** Its parts with their figures, for its own use: what it reads of them is nobody's footprint. */
  private readonly figures: MachineParams;
  private readonly base: Scene | undefined;
  private readonly seen: Footprint | undefined;
  /** Parts whose figures are not those of the base: its fault, and what followed from it. */
  private readonly differing: readonly PartInstance[];
  private readonly solutions: Map<string, OperatingPoint>;
  private readonly networks: Map<string, Prepared>;
  private readonly bench = new Map<string, Prepared>();
  private readonly sights: Map<string, unknown>;
  private readonly footprints = new Map<string, Footprint>();
  private readonly asking: Set<string>;
  private readonly settledTo = new WeakMap<MachineState, MachineState>();
  private readonly unlike = new Map<string, boolean>();

  /** `base` is the same machine without its fault: what it has prepared serves here too. `seen` keeps account of what is read. */
  constructor(machine: Machine, params: MachineParams, base?: Scene, seen?: Footprint) {
    this.machine = machine;
    this.figures = seen ? params : machine.settle(params, (p) => new Scene(machine.unsettled, p, base));
    this.params = seen ? seen.watching(this.figures) : this.figures;
    this.base = base;
    this.seen = seen;
    this.differing = base ? machine.parts.filter((p) => this.figures[p.id] !== base.figures[p.id]) : [];
    // A fault on the spark's side leaves the low-voltage network as it is.
    const same = base !== undefined && this.differing.every((p) => p.apart);
    this.solutions = same ? base.solutions : new Map();
    this.networks = same ? base.networks : new Map();
    this.sights = seen && base ? base.sights : new Map();
    this.asking = seen && base ? base.asking : new Set();
  }

  private elementsOf(part: PartInstance, state: MachineState): Element[] {
    return part.kind.elements(figuresIn(part, this.figures[part.id]!, state, this.machine.fit), {
      id: part.id,
      nodes: part.nodes,
      fit: this.machine.fit,
      state,
    });
  }
  private connected(state: MachineState, part: PartInstance, only?: string): boolean {
    return only === undefined ? !part.apart && !(state.unplugged ?? []).includes(part.id) : part.id === only;
  }

  /** The network of a state; `only` leaves one part on the bench, with nothing else connected. */
  elements(given: MachineState, only?: string): Element[] {
    const state = only === undefined ? this.settledState(given) : given;
    return this.machine.parts.filter((p) => this.connected(state, p, only)).flatMap((p) => this.elementsOf(p, state));
  }

  /** The same machine, keeping account of what is read of it. */
  watched(): { scene: Scene; footprint: Footprint } {
    const footprint = new Footprint();
    return { scene: new Scene(this.machine, this.figures, this, footprint), footprint };
  }

  /** Whether what differs from the base can change a reading of this footprint. */
  touches({ parts, states, probed }: Footprint): boolean {
    if (this.differing.some((p) => parts.has(p.id))) return true;
    if (!this.differing.some((p) => !p.apart)) return false;
    return probed || [...states.values()].some((state) => this.readsUnlikeBase(state));
  }
  /** Whether any effort or flow of a state is not what it is on the base. */
  private readsUnlikeBase(state: MachineState): boolean {
    const key = keyOf(state);
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
    let own = this.settledTo.get(state);
    if (!own) this.settledTo.set(state, (own = this.settles(state)));
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
    const key = `${keyOf(state)}|${only ?? ''}`;
    // On the bench a part of the spark's side is met too: it is the base's only where the part itself is.
    const kept = only !== undefined && this.differing.some((p) => p.id === only) ? this.bench : this.networks;
    let known = kept.get(key);
    if (!known) kept.set(key, (known = this.fromBase(state, only) ?? new Prepared(this.elements(state, only))));
    return known;
  }
  private fromBase(state: MachineState, only?: string): Prepared | undefined {
    if (!this.base) return undefined;
    const differing = this.differing.filter((p) => this.connected(state, p, only));
    const base = this.base.prepared(state, only);
    if (differing.length === 0) return base;
    const fresh = differing.flatMap((p) => this.elementsOf(p, state));
    const gone = new Set(differing.flatMap((p) => this.base!.elementsOf(p, state)).map((e) => e.id));
    return base.changed(fresh, gone);
  }

  /** Operating point of the machine as it stands. Throws NoSolution where its figures leave none. */
  solve(given: MachineState): OperatingPoint {
    const state = this.settledState(given);
    this.seen?.noteState(state);
    const key = keyOf(state);
    let known = this.solutions.get(key);
    if (!known) this.solutions.set(key, (known = this.solved(this.prepared(state), key)));
    return this.seen ? this.seen.watchingPoint(known) : known;
  }

  /** With a probe's own element added, for what loads the circuit or drives it. */
  solveWith(given: MachineState, probe: readonly Element[], only?: string): OperatingPoint {
    const state = only === undefined ? this.settledState(given) : given;
    const network = this.network(state, only);
    const probed = network.changed(probe) ?? new Prepared([...this.elements(state, only), ...probe]);
    return this.solved(probed, `${keyOf(state)} with a probe`);
  }

  private solved(network: Prepared, where: string): OperatingPoint {
    const result = network.operatingPoint();
    if (!result.ok) {
      const kinds = this.machine.trails.map((t) => t.kind).join(', ');
      throw new NoSolution(`Machine (${kinds}) does not solve in ${where}: ${result.code}`);
    }
    return result;
  }

  /** Whether the state's network has this node at all. */
  has(state: MachineState, node: NodeName): boolean {
    return node === '0' || this.prepared(state).rows.nodes.has(node);
  }

  see<K extends Observable>(key: K, state: MachineState, at?: AtOf<K>): ValueOf<K> {
    const id = `${key}|${keyOf(state)}|${at === undefined ? '' : placeKey(at)}`;
    const kept = this.seen ? this.base! : this;
    if (!kept.sights.has(id)) kept.sights.set(id, kept.look(key, state, at, id));
    if (this.seen) this.seen.include(kept.footprints.get(id)!);
    return kept.sights.get(id) as ValueOf<K>;
  }
  private look<K extends Observable>(key: K, state: MachineState, at: AtOf<K> | undefined, id: string): ValueOf<K> {
    if (key === 'rpm' && state.rpm !== undefined) {
      if (!this.base) this.footprints.set(id, new Footprint());
      return state.rpm as ValueOf<K>;
    }
    if (this.base) {
      const same = this.base.see(key, state, at);
      if (!this.touches(this.base.footprints.get(id)!)) return same;
    }
    if (this.asking.has(id)) throw new RangeError(`"${key}" asks for itself in ${id}`);
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
