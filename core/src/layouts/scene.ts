import { solveOperatingPoint, type Element, type NodeName, type OperatingPoint } from '../network/index.ts';
import type { MachineState } from '../parts/index.ts';
import type { Known, Layout, MachineParams } from './layout.ts';

const keyOf = (s: MachineState) => `${s.key}|${s.points}|${s.unplugged?.join() ?? ''}|${s.clipped?.join() ?? ''}`;

/** A machine in the state in which an instrument finds it, all figures known. Solutions are kept by state. */
export class Scene implements Known {
  readonly layout: Layout;
  readonly params: MachineParams;
  private readonly solutions: Map<string, OperatingPoint>;

  /** `alike` is a scene whose low-voltage network is the same one: its solutions serve here too. */
  constructor(layout: Layout, params: MachineParams, alike?: Scene) {
    this.layout = layout;
    this.params = layout.settle(params);
    this.solutions = alike?.solutions ?? new Map();
  }

  /** The network of a state; `only` leaves one part on the bench, with nothing else connected. */
  elements(state: MachineState, only?: string): Element[] {
    const unplugged = new Set(state.unplugged ?? []);
    const parts = this.layout.parts.filter((p) =>
      only === undefined ? !p.apart && !unplugged.has(p.id) : p.id === only,
    );
    return parts.flatMap((p) =>
      p.kind.elements(this.params[p.id]!, { id: p.id, nodes: p.nodes, fit: this.layout.fit, state }),
    );
  }

  /** Operating point of the machine as it stands. Throws if the layout itself cannot be solved: a fault of ours. */
  solve(state: MachineState): OperatingPoint {
    const key = keyOf(state);
    const known = this.solutions.get(key);
    if (known) return known;
    const result = solveOperatingPoint(this.elements(state));
    if (!result.ok) throw new Error(`Layout ${this.layout.kind} does not solve in ${key}: ${result.code}`);
    this.solutions.set(key, result);
    return result;
  }

  /** With a probe's own element added, for what loads the circuit or drives it. */
  solveWith(state: MachineState, probe: readonly Element[], only?: string): OperatingPoint {
    const result = solveOperatingPoint([...this.elements(state, only), ...probe]);
    if (!result.ok) throw new Error(`Layout ${this.layout.kind} does not solve with a probe: ${result.code}`);
    return result;
  }

  /** Whether the state's network has this node at all. */
  has(state: MachineState, node: NodeName): boolean {
    return node === '0' || this.elements(state).some((e) => e.a === node || e.b === node);
  }
}
