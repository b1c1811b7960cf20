import { modelOf } from './elements/index.ts';
import { GROUND, type Element, type NodeName } from './types.ts';

/** Nodes that no conducting element ties to ground, found on the graph: a small residual would prove nothing. */
export function floatingNodes(elements: readonly Element[]): NodeName[] {
  const parent = new Map<NodeName, NodeName>();
  const root = (node: NodeName): NodeName => {
    let at = node;
    for (;;) {
      const up = parent.get(at);
      if (up === undefined || up === at) return at;
      at = up;
    }
  };
  for (const e of elements) {
    for (const node of [e.a, e.b]) if (!parent.has(node)) parent.set(node, node);
    if (modelOf(e).conducts(e)) parent.set(root(e.a), root(e.b));
  }
  const ground = root(GROUND);
  return [...parent.keys()].filter((node) => root(node) !== ground);
}
