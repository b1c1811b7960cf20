import { Prepared, type Element, type NodeName, type OperatingPoint } from '../network/index.ts';
import { figuresIn, type MachineState, type PartInstance } from '../parts/index.ts';
import type { Known, Layout, MachineParams } from './layout.ts';

const keyOf = (s: MachineState) =>
  `${s.key}|${s.points}|${s.stopHeld ?? ''}|${s.told ?? ''}|${s.unplugged?.join() ?? ''}|${s.clipped?.join() ?? ''}`;

/** What a reading depends on: the parts whose figures it asked for, and whether it asked the low-voltage network. */
export interface Footprint {
  readonly parts: Set<string>;
  network: boolean;
}

/** The figures given leave a network that has no answer. */
export class NoSolution extends Error {}

/** A machine in the state in which an instrument finds it, all figures known. What was solved is kept by state. */
export class Scene implements Known {
  readonly layout: Layout;
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

  /** `base` is the same machine without its fault: what it has prepared serves here too. */
  constructor(layout: Layout, params: MachineParams, base?: Scene, seen?: Footprint) {
    this.layout = layout;
    this.figures = seen ? params : layout.settle(params);
    this.params = seen ? watching(this.figures, seen) : this.figures;
    this.base = base;
    this.seen = seen;
    this.differing = base ? layout.parts.filter((p) => this.figures[p.id] !== base.figures[p.id]) : [];
    // A fault on the spark's side leaves the low-voltage network as it is.
    const same = base !== undefined && this.differing.every((p) => p.apart);
    this.solutions = same ? base.solutions : new Map();
    this.networks = same ? base.networks : new Map();
  }

  private elementsOf(part: PartInstance, state: MachineState): Element[] {
    return part.kind.elements(figuresIn(part, this.figures[part.id]!, state, this.layout.fit), {
      id: part.id,
      nodes: part.nodes,
      fit: this.layout.fit,
      state,
    });
  }
  private connected(state: MachineState, part: PartInstance, only?: string): boolean {
    return only === undefined ? !part.apart && !(state.unplugged ?? []).includes(part.id) : part.id === only;
  }

  /** The network of a state; `only` leaves one part on the bench, with nothing else connected. */
  elements(state: MachineState, only?: string): Element[] {
    return this.layout.parts.filter((p) => this.connected(state, p, only)).flatMap((p) => this.elementsOf(p, state));
  }

  /** The same machine, keeping account of what is read of it. */
  watched(): { scene: Scene; footprint: Footprint } {
    const footprint: Footprint = { parts: new Set(), network: false };
    return { scene: new Scene(this.layout, this.figures, this, footprint), footprint };
  }

  /** Whether what differs from the base can change a reading of this footprint. */
  touches({ parts, network }: Footprint): boolean {
    return this.differing.some((p) => parts.has(p.id) || (network && !p.apart));
  }

  /** The network of a state made ready: the base's own with the differing parts' elements put in, where there is one. */
  network(state: MachineState, only?: string): Prepared {
    const key = `${keyOf(state)}|${only ?? ''}`;
    this.asked(only);
    // On the bench a part of the spark's side is met too: it is the base's only where the part itself is.
    const kept = only !== undefined && this.differing.some((p) => p.id === only) ? this.bench : this.networks;
    let known = kept.get(key);
    if (!known) kept.set(key, (known = this.fromBase(state, only) ?? new Prepared(this.elements(state, only))));
    return known;
  }
  private asked(only?: string): void {
    if (this.seen && only === undefined) this.seen.network = true;
    else this.seen?.parts.add(only!);
  }
  private fromBase(state: MachineState, only?: string): Prepared | undefined {
    if (!this.base) return undefined;
    const differing = this.differing.filter((p) => this.connected(state, p, only));
    const fresh = differing.flatMap((p) => this.elementsOf(p, state));
    const gone = new Set(differing.flatMap((p) => this.base!.elementsOf(p, state)).map((e) => e.id));
    return this.base.network(state, only).changed(fresh, gone);
  }

  /** Operating point of the machine as it stands. Throws NoSolution where its figures leave none. */
  solve(state: MachineState): OperatingPoint {
    const key = keyOf(state);
    this.asked();
    let known = this.solutions.get(key);
    if (!known) this.solutions.set(key, (known = this.solved(this.network(state), key)));
    return known;
  }

  /** With a probe's own element added, for what loads the circuit or drives it. */
  solveWith(state: MachineState, probe: readonly Element[], only?: string): OperatingPoint {
    const probed = this.network(state, only).changed(probe) ?? new Prepared([...this.elements(state, only), ...probe]);
    return this.solved(probed, `${keyOf(state)} with a probe`);
  }

  private solved(network: Prepared, where: string): OperatingPoint {
    const result = network.operatingPoint();
    if (!result.ok) throw new NoSolution(`Layout ${this.layout.kind} does not solve in ${where}: ${result.code}`);
    return result;
  }

  /** Whether the state's network has this node at all. */
  has(state: MachineState, node: NodeName): boolean {
    return node === '0' || this.network(state).rows.nodes.has(node);
  }
}

/** Figures that note which parts are asked for. */
const watching = (figures: MachineParams, seen: Footprint): MachineParams =>
  new Proxy(figures, {
    get: (all, id) => {
      if (typeof id === 'string') seen.parts.add(id);
      return Reflect.get(all, id) as MachineParams[string];
    },
    ownKeys: (all) => {
      for (const id of Object.keys(all)) seen.parts.add(id);
      return Reflect.ownKeys(all);
    },
  });
