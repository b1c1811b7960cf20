import { modelOf } from './elements/index.ts';
import { GROUND, type Element, type NodeName } from './types.ts';

/** Every node that an element touches or looks at. */
const nodesOf = (e: Element): NodeName[] => (e.type === 'controlled' ? [e.a, e.b, e.controlA, e.controlB] : [e.a, e.b]);

/** The unknowns of a network, numbered once: an effort for each node, a flow for each element that needs a row. */
export class Rows {
  readonly nodes = new Map<NodeName, number>();
  readonly branches = new Map<string, number>();
  readonly size: number;

  constructor(elements: readonly Element[]) {
    for (const e of elements)
      for (const n of nodesOf(e)) if (n !== GROUND && !this.nodes.has(n)) this.nodes.set(n, this.nodes.size);
    for (const e of elements) if (modelOf(e).branch) this.branches.set(e.id, this.nodes.size + this.branches.size);
    this.size = this.nodes.size + this.branches.size;
  }
  /** −1 for ground. */
  node(name: NodeName): number {
    return name === GROUND ? -1 : (this.nodes.get(name) ?? NaN);
  }
  branch(id: string): number {
    return this.branches.get(id) ?? -1;
  }
  /** Whether this element finds all that it needs among these rows. */
  holds(e: Element): boolean {
    return nodesOf(e).every((n) => n === GROUND || this.nodes.has(n)) && modelOf(e).branch === this.branches.has(e.id);
  }
  nameOf(row: number): string {
    for (const [name, i] of [...this.nodes, ...this.branches]) if (i === row) return name;
    return GROUND;
  }
}
