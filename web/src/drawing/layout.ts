import type { Drawing, DrawnPart, DrawnWire, End, Place } from '@pondu/core';
import type { ELK as Elk, ElkExtendedEdge, ElkNode } from 'elkjs/lib/elk-api.js';
import { crossings } from './crossings.ts';
import { boxOf, type Box } from './geometry.ts';
import { valuesAt } from './values.ts';

export interface LaidPart {
  readonly part: DrawnPart;
  readonly box: Box;
  readonly x: number;
  readonly y: number;
}
export interface LaidPlace {
  readonly place: Place;
  readonly x: number;
  readonly y: number;
}
export interface Point {
  readonly x: number;
  readonly y: number;
}
/** A wire as it runs over the page. */
export interface Run {
  readonly wire: DrawnWire;
  readonly points: readonly Point[];
}
export interface LaidWire extends Run {
  /** Where the volts of its node are written: once for each node. */
  readonly value: Point | undefined;
}
export interface Laid {
  readonly width: number;
  readonly height: number;
  readonly parts: readonly LaidPart[];
  readonly places: readonly LaidPlace[];
  readonly wires: readonly LaidWire[];
  /** Where wires of one node part from each other. */
  readonly joins: readonly Point[];
}

export const DOT = 10;
/** What leaves the drawing says where to. */
const LEAVES = { width: 150, height: 22 } as const;

const OPTIONS = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.spacing.nodeNode': '26',
  'elk.spacing.edgeNode': '16',
  'elk.spacing.edgeEdge': '12',
  'elk.layered.spacing.nodeNodeBetweenLayers': '58',
  'elk.layered.spacing.edgeNodeBetweenLayers': '14',
  'elk.layered.spacing.edgeEdgeBetweenLayers': '12',
  'elk.layered.nodePlacement.strategy': 'NETWORK_SIMPLEX',
  'elk.layered.crossingMinimization.strategy': 'LAYER_SWEEP',
  'elk.layered.thoroughness': '40',
  'elk.layered.mergeEdges': 'true',
  'elk.separateConnectedComponents': 'true',
} as const;

const SIDES = { left: 'WEST', right: 'EAST', top: 'NORTH', bottom: 'SOUTH' } as const;
const portId = (of: string, port: string) => `${of}#${port}`;
const endId = ({ of, port }: End) => (port === undefined ? of : portId(of, port));

/** Source left, spark right: the battery begins, plugs end. */
const layerOf = ({ symbol }: DrawnPart): Record<string, string> =>
  symbol === 'battery'
    ? { 'elk.layered.layering.layerConstraint': 'FIRST' }
    : symbol === 'plug'
      ? { 'elk.layered.layering.layerConstraint': 'LAST' }
      : {};

function graphOf(drawing: Drawing, boxes: ReadonlyMap<string, Box>): ElkNode {
  return {
    id: 'drawing',
    layoutOptions: OPTIONS,
    children: [
      ...drawing.parts.map((part): ElkNode => {
        const { width, height, terminals } = boxes.get(part.id)!;
        return {
          id: part.id,
          width,
          height,
          layoutOptions: { 'elk.portConstraints': 'FIXED_POS', ...layerOf(part) },
          ports: terminals
            .filter((t) => !t.earthed)
            .map(({ name, x, y, side }) => ({
              id: portId(part.id, name),
              x,
              y,
              width: 0,
              height: 0,
              layoutOptions: { 'elk.port.side': SIDES[side] },
            })),
        };
      }),
      ...drawing.places.map(({ id, leaves }): ElkNode => ({ id, ...(leaves ? LEAVES : { width: DOT, height: DOT }) })),
    ],
    edges: drawing.wires.map((wire): ElkExtendedEdge => ({
      id: wire.id,
      sources: [endId(wire.from)],
      targets: [endId(wire.to)],
    })),
  };
}

/**
 * Ways to order what stands side by side. A change moves only what it must, so the machine's own order comes first; where
 * that lets too many wires cross, the others are tried.
 */
const ORDERS = ['PREFER_NODES', 'PREFER_EDGES', 'NONE'] as const;
/** Of so many wires one may cross another. */
const WIRES_A_CROSSING = 10;

async function inOrder(drawing: Drawing, elk: Pick<Elk, 'layout'>, order: (typeof ORDERS)[number]): Promise<Laid> {
  const boxes = new Map(drawing.parts.map((p) => [p.id, boxOf(p)]));
  const graph = graphOf(drawing, boxes);
  const set = await elk.layout({
    ...graph,
    layoutOptions: { ...graph.layoutOptions, 'elk.layered.considerModelOrder.strategy': order },
  });
  const nodes = new Map(set.children!.map((n) => [n.id, n]));
  const edges = new Map((set.edges ?? []).map((e) => [e.id, e]));
  const at = (id: string) => ({ x: nodes.get(id)!.x ?? 0, y: nodes.get(id)!.y ?? 0 });
  const parts = drawing.parts.map((part) => ({ part, box: boxes.get(part.id)!, ...at(part.id) }));
  const wires = drawing.wires.map((wire): Run => {
    const [section] = edges.get(wire.id)?.sections ?? [];
    return { wire, points: section ? [section.startPoint, ...(section.bendPoints ?? []), section.endPoint] : [] };
  });
  const values = valuesAt(parts, wires);
  return {
    width: set.width ?? 0,
    height: set.height ?? 0,
    parts,
    places: drawing.places.map((place) => ({ place, ...at(place.id) })),
    wires: wires.map((w) => ({ ...w, value: values.get(w) })),
    joins: [...edges.values()].flatMap((e) => e.junctionPoints ?? []),
  };
}

/** Sets a drawing on a page, with few wires across others. `elk` does the work, in a worker where there is one. */
export async function layOut(drawing: Drawing, elk: Pick<Elk, 'layout'>): Promise<Laid> {
  let best: { laid: Laid; crossed: number } | undefined;
  for (const order of ORDERS) {
    const laid = await inOrder(drawing, elk, order);
    const crossed = crossings(laid.wires);
    if (crossed < (best?.crossed ?? Infinity)) best = { laid, crossed };
    if (best!.crossed * WIRES_A_CROSSING <= drawing.wires.length) break;
  }
  return best!.laid;
}
