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
import { figuresIn, type MachineState, type PartInstance, type PartParams } from './part.ts';
import { keyOf } from './state.ts';

/** The figures given leave a network that has no answer. */
export class NoSolution extends Error {}

/** Two solutions in which no effort differs by more than this, and this share of it, read alike on every instrument. */
const ALIKE = 2e-5;
const ALIKE_SHARE = 2e-4;

/** States with everything that moves in its place: some tens for any machine. */
const settledStates = new Map<string, MachineState>();

/** Names of what is asked, by the state it is asked in: put together once, for they are asked for without end. */
const sightIds = new WeakMap<MachineState, Map<string, string>>();
function sightId(key: Observable, state: MachineState, at: object | undefined): string {
  let asked: string = key;
  for (const place of at ? Object.values(at) : []) asked += `|${String(place)}`;
  let own = sightIds.get(state);
  if (!own) sightIds.set(state, (own = new Map()));
  let id = own.get(asked);
  if (id === undefined) own.set(asked, (id = `${asked}|${keyOf(state)}`));
  return id;
}

function alike(a: PartParams, b: PartParams): boolean {
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((k) => a[k] === b[k]);
}

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
  private readonly solutions: Map<string, OperatingPoint>;
  private readonly networks: Map<string, Prepared>;
  private readonly bench = new Map<string, Prepared>();
  private readonly sights: Map<string, unknown>;
  private readonly footprints = new Map<string, Footprint>();
  private readonly asking: Set<string>;
  private readonly settledTo = new WeakMap<MachineState, MachineState>();
  private readonly unlike = new Map<string, boolean>();

  /**
   * `base` is the same machine without its fault: what it has prepared serves here too. `seen` keeps account of what is
   * read. Of two faults, `alone` are the machines with each: what only one of them can change is that one's.
   */
  constructor(machine: Machine, params: MachineParams, base?: Scene, seen?: Footprint, alone: readonly Scene[] = []) {
    this.machine = machine;
    this.base = base;
    this.alone = alone;
    this.given = params;
    const settled = seen ? params : machine.settle(params, (p) => (p === params ? this.unsettled : this.found(p)));
    const { figures, differing } =
      base && !seen ? this.beside(params, settled, base.figures) : { figures: settled, differing: [] };
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

  /**
   * Settled figures beside the base's, and the parts that differ. What settles them writes figures anew each time: those
   * that are the base's by value are given back as the base's own.
   */
  private beside(given: MachineParams, settled: MachineParams, base: MachineParams) {
    const differing: PartInstance[] = [];
    let figures = settled;
    for (const part of this.machine.parts) {
      const [own, there] = [settled[part.id]!, base[part.id]!];
      if (own === there) continue;
      if (own === given[part.id] || !alike(own, there)) differing.push(part);
      else figures = { ...figures, [part.id]: there };
    }
    return { figures, differing };
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
    if (!known)
      this.solutions.set(key, (known = this.oneAlone(given)?.solve(given) ?? this.solved(this.prepared(state), key)));
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
    const id = sightId(key, state, at);
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
      const footprint = this.base.footprints.get(id)!;
      if (!this.touches(footprint)) return same;
      const telling = this.alone.filter((one) => one.touches(footprint));
      if (this.alone.length > 1 && telling.length === 1) return telling[0]!.see(key, state, at);
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
