import type { Machine } from '../machine/machine.ts';
import { GROUND, type NodeName } from '../network/index.ts';
import type { PartInstance } from '../machine/part.ts';
import type { TrailId } from '../schema/fitOut.ts';
import type { SymbolId } from './symbol.ts';

/** Where a wire ends on a part: the part's own name for the place, and the node of the network that lies there. */
export interface Port {
  readonly name: string;
  readonly node: NodeName;
  /** Earthed where it stands: a sign of its own beneath the part, no wire across the page. */
  readonly earthed: boolean;
}

export interface DrawnPart {
  readonly id: string;
  readonly label: string;
  readonly symbol: Exclude<SymbolId, 'none'>;
  readonly trail: TrailId;
  readonly station: string;
  readonly ports: readonly Port[];
}

/** A place where three or more wires meet, or where a wire leaves for what is not drawn. */
export interface Place {
  readonly id: string;
  readonly node: NodeName;
  /** As a mechanic would say it. */
  readonly label: string;
  readonly leaves: boolean;
}

/** The end of a wire: a part's port, or a place. */
export interface End {
  readonly of: string;
  readonly port?: string;
}

export interface DrawnWire {
  readonly id: string;
  readonly node: NodeName;
  readonly highTension: boolean;
  readonly from: End;
  readonly to: End;
}

/** The wiring of a machine: what stands in it, and what runs to what. Nothing of where on the page. */
export interface Drawing {
  readonly parts: readonly DrawnPart[];
  readonly places: readonly Place[];
  readonly wires: readonly DrawnWire[];
}

/** The metal of the engine and the battery's earth post: one of them is the network's ground. */
const EARTHS: ReadonlySet<NodeName> = new Set([GROUND, 'block', 'earth-post']);
const STRAP = 'strap';
const BATTERY = 'battery';
/** The high tension is no part of the low-voltage network: its nodes are named by the part that it comes from. */
const tension = (from: string): NodeName => `tension:${from}`;

/** High tension as ports: each part of it ends where the next begins. A plug ends on the engine. */
function tensionPorts(machine: Machine): Map<string, Port[]> {
  const ports = new Map<string, Map<string, Port>>();
  const give = (part: string, port: Port) => {
    let own = ports.get(part);
    if (!own) ports.set(part, (own = new Map()));
    own.set(port.name, port);
  };
  const way = machine.trails.find((t) => t.sparkWay)?.sparkWay;
  if (!way) return new Map();
  for (let cylinder = 1; cylinder <= machine.fit.cylinders; cylinder++) {
    const ids = way(cylinder);
    ids.forEach((id, k) => {
      const [before, after] = [ids[k - 1], ids[k + 1]];
      if (before !== undefined) give(id, { name: 'a', node: tension(before), earthed: false });
      if (after !== undefined) give(id, { name: k === 0 ? 'tower' : 'b', node: tension(id), earthed: false });
      else give(id, { name: 'earth', node: 'block', earthed: true });
    });
  }
  return new Map([...ports].map(([id, own]) => [id, [...own.values()]]));
}

/** Ports of a part: what it touches of the network, less what only a chafed wire touches. */
function portsOf(part: PartInstance, ofTension: readonly Port[]): Port[] {
  const wire = part.kind.symbol === 'wire';
  // What joins the earths is drawn as the wire that it is.
  const joins = part.id === STRAP || part.id === BATTERY;
  const own = part.apart
    ? []
    : Object.entries(part.nodes)
        .filter(([name]) => name !== 'tower' && !(wire && name === 'earth'))
        .map(([name, node]): Port => {
          const metal = part.id === STRAP && name === 'a';
          return { name, node, earthed: EARTHS.has(node) && (!joins || metal) };
        });
  return [...own, ...ofTension];
}

/** All that is wired, or only what one trail claims and what it shares with others. */
function wiredParts(machine: Machine, trail?: TrailId): DrawnPart[] {
  const ofTension = tensionPorts(machine);
  const shown = trail && new Set(machine.trails.find((t) => t.id === trail)?.stations.map((s) => s.id));
  return machine.parts.flatMap((part): DrawnPart[] => {
    const { symbol } = part.kind;
    if (symbol === 'none' || (shown && !shown.has(part.station))) return [];
    const ports = portsOf(part, ofTension.get(part.id) ?? []);
    return ports.length
      ? [{ id: part.id, label: part.label, symbol, trail: machine.trailOf.get(part.id)!, station: part.station, ports }]
      : [];
  });
}

/** By node, the ends that lie on it. */
function netsOf(parts: readonly DrawnPart[]): Map<NodeName, End[]> {
  const nets = new Map<NodeName, End[]>();
  for (const part of parts)
    for (const { name, node, earthed } of part.ports)
      if (!earthed) nets.set(node, [...(nets.get(node) ?? []), { of: part.id, port: name }]);
  return nets;
}

/**
 * The wiring diagram of a machine as things and wires, from the objects that are solved: each part that is wired stands
 * in it once, each node is one wire, a place where several meet, or an earth beneath its part. Pure; `trail` leaves out
 * what another trail has for itself.
 */
export function drawingOf(machine: Machine, trail?: TrailId): Drawing {
  const parts = wiredParts(machine, trail);
  const places: Place[] = [];
  const wires: DrawnWire[] = [];
  const ofTension = new Set(machine.parts.map((p) => tension(p.id)));
  for (const [node, ends] of netsOf(parts)) {
    const [first, second] = ends;
    const highTension = ofTension.has(node);
    if (ends.length === 2) {
      wires.push({ id: node, node, highTension, from: first!, to: second! });
      continue;
    }
    const place: Place = {
      id: `place:${node}`,
      node,
      label: machine.nodeNames[node] ?? node,
      leaves: ends.length === 1,
    };
    places.push(place);
    // Towards what is fed: the first end brings it, the others take it.
    ends.forEach((end, k) =>
      wires.push({
        id: `${node}:${k}`,
        node,
        highTension,
        ...(k === 0 ? { from: end, to: { of: place.id } } : { from: { of: place.id }, to: end }),
      }),
    );
  }
  return { parts, places, wires };
}
