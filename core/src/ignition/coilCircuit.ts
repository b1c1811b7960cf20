import { ARC_START_VOLTS, ARC_VOLTS_PER_SECOND } from './available.ts';
import type { Coupling, Element, NodeName } from '../network/index.ts';

/** An ignition coil with what hangs on its secondary. SI. */
export interface CoilCircuit {
  /** Primary winding alone; put what else stands in its loop beside it. */
  primaryOhms: number;
  henries: number;
  turnsRatio: number;
  /** Of the two windings' flux, 0…1. */
  coupling: number;
  secondaryOhms: number;
  /** Winding, leads and plug. */
  secondaryFarads: number;
  /** Fouled plug, tracked cap, damp: everything to earth in parallel. */
  shuntOhms: number;
  /** A gap that may spark; left out, the lead is off and nothing sparks. */
  plug?: { strikeVolts: number; seriesOhms: number };
}

/**
 * A burning plug gap: some 800 V, rising little with current; out below a few milliamperes [1], struck again at little
 * while its gas is hot. Middle figures: real arcs scatter.
 */
export const ARC = { arcVolts: 800, arcOhms: 5e3, holdAmps: 3e-3, restrikeVolts: 2500 } as const;

/** The coil between two primary nodes as elements; the secondary stands at node `sec`, the plug's gap at `plug`. */
export function coilElements(
  c: CoilCircuit,
  from: NodeName,
  to: NodeName,
  initialAmps = 0,
): { elements: Element[]; coupling: Coupling } {
  const elements: Element[] = [
    { type: 'resistor', id: 'rp', a: from, b: 'l1', ohms: c.primaryOhms },
    { type: 'inductor', id: 'l1', a: 'l1', b: to, henries: c.henries, initialAmps },
    { type: 'inductor', id: 'l2', a: 'sec', b: 'sx', henries: c.henries * c.turnsRatio ** 2, initialAmps: 0 },
    { type: 'resistor', id: 'rs', a: 'sx', b: '0', ohms: c.secondaryOhms },
    { type: 'capacitor', id: 'c2', a: 'sec', b: '0', farads: c.secondaryFarads, initialVolts: 0 },
    { type: 'resistor', id: 'shunt', a: 'sec', b: '0', ohms: c.shuntOhms },
  ];
  if (c.plug) {
    const { strikeVolts, seriesOhms } = c.plug;
    elements.push(
      { type: 'resistor', id: 'lead', a: 'sec', b: 'plug', ohms: Math.max(1, seriesOhms) },
      { type: 'gap', id: 'gap', a: 'plug', b: '0', strikeVolts, ...ARC },
    );
  }
  return { elements, coupling: { id: 'k', first: 'l1', second: 'l2', k: c.coupling } };
}

/**
 * Breaker points between a node and earth: closed from zero until `opensAt`, for good. With `arcs` the contacts arc as
 * they part: where the condenser is too small to slow the voltage's rise (see FASTEST_RISE).
 */
export function pointsElements(
  node: NodeName,
  onOhms: number,
  opensAt: number,
  until: number,
  arcs: boolean,
): Element[] {
  return [
    {
      type: 'switch',
      id: 'points',
      a: node,
      b: '0',
      closed: true,
      onOhms,
      offOhms: 1e7,
      control: { a: 'cam', b: '0', closesAt: 2.6, opensAt: 2.4 },
    },
    {
      type: 'voltage',
      id: 'cam',
      a: 'cam',
      b: '0',
      volts: 5,
      wave: {
        kind: 'corners',
        points: [
          [0, 5],
          [opensAt, 5],
          [opensAt + 1e-6, 0],
          [until, 0],
        ],
      },
    },
    ...(arcs ? partingArc(node, opensAt, until) : []),
  ];
}

/** An arc that grows with the gap: it holds off so much at once and so much more each second (circuit s07). */
function partingArc(node: NodeName, opensAt: number, until: number): Element[] {
  return [
    { type: 'diode', id: 'arc', a: node, b: 'arc', saturationAmps: 1e-9, emission: 2, seriesOhms: 1 },
    {
      type: 'voltage',
      id: 'parting',
      a: 'arc',
      b: '0',
      volts: ARC_START_VOLTS,
      wave: {
        kind: 'corners',
        points: [
          [0, ARC_START_VOLTS],
          [opensAt, ARC_START_VOLTS],
          [until, ARC_START_VOLTS + ARC_VOLTS_PER_SECOND * (until - opensAt)],
        ],
      },
    },
  ];
}
