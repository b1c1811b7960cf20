import type { Fit } from '../../../schema/fit.ts';
import { mostAmps } from '../making.ts';
import {
  between,
  inLine,
  logBetween,
  OPEN_OHMS,
  type Figures,
  type PartContext,
  type PartKind,
} from '../../../machine/part.ts';
import type { Element } from '../../../network/index.ts';

/** V-belt from the crank. Slack, it slips the more the more is asked. */
export const belt: PartKind<'deflectionMetres' | 'carried'> = {
  kind: 'belt',
  symbol: 'none',
  plates: [
    {
      id: 'deflectionMetres',
      label: 'Gives at mid-span',
      dimension: 'length',
      typical: () => ({ low: 7e-3, high: 12e-3 }),
    },
    {
      id: 'carried',
      label: 'Speed carried over',
      dimension: 'ratio',
      typical: () => ({ low: 1, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'tighten', label: 'Tighten the belt', minutes: 10, money: 0 },
    { id: 'replace', label: 'Replace the belt', minutes: 25, money: 12 },
  ],
  faults: [
    {
      id: 'slack',
      label: 'slack, slips and squeals',
      weight: 3,
      repair: 'tighten',
      apply: (p, s) => ({ ...p, deflectionMetres: between(20e-3, 35e-3, s), carried: between(0.55, 0.05, s) }),
    },
    {
      id: 'gone',
      label: 'gone',
      weight: 1,
      repair: 'replace',
      apply: (p) => ({ ...p, deflectionMetres: 0.2, carried: 0 }),
    },
  ],
  elements: () => [],
};

/** The thick wire from the machine to the battery, with its plugs and fuse. */
export const chargeWire: PartKind<'ohms'> = {
  kind: 'charge wire',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.003 * (volts / 12), high: 0.012 * (volts / 12) }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Remake the charge wire joints', minutes: 20, money: 6 }],
  faults: [
    {
      id: 'corroded',
      label: 'a joint of it poor or melted',
      weight: 2.5,
      repair: 'remake',
      comesWith: 'heat',
      apply: (p, s, { volts }) => ({ ...p, ohms: logBetween(0.12, 3, s) * (volts / 12) }),
    },
    {
      id: 'broken',
      label: 'broken, or its fuse blown',
      weight: 2,
      byHand: true,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
  ],
  elements: inLine,
};

/** An LED with what limits it, ohms of twelve volts or more. */
const LED_OHMS = 900;
/** A filament of these watts, or what somebody put in its place, ohms. */
const exciterElements = (p: Figures<never, 'watts' | 'out' | 'ohms'>, { id, nodes, fit }: PartContext): Element[] => {
  const [a, b] = [nodes['a']!, nodes['b']!];
  if ((p.out ?? 0) > 0.5) return [{ type: 'resistor', id, a, b, ohms: OPEN_OHMS }];
  if (p.ohms !== undefined) return [{ type: 'resistor', id, a, b, ohms: p.ohms }];
  return [{ type: 'filament', id, a, b, hotOhms: fit.volts ** 2 / (p.watts ?? 0), ratedVolts: fit.volts }];
};

/** Filament between the key and the machine; where a resistor is in its place it cannot blow. */
export const chargeLamp: PartKind<'watts', 'out' | 'led' | 'ohms' | 'off'> = {
  kind: 'charge lamp',
  symbol: 'lamp',
  plates: [{ id: 'watts', label: 'Power', dimension: 'ratio', typical: () => ({ low: 2.2, high: 3 }) }],
  repairs: [
    { id: 'bulb', label: 'Replace the bulb', minutes: 8, money: 1 },
    { id: 'wire', label: 'Repair the lamp wire', minutes: 20, money: 2 },
  ],
  faults: [
    { id: 'blown', label: 'blown', weight: 3, repair: 'bulb', apply: (p) => ({ ...p, out: 1 }) },
    {
      id: 'swapped',
      label: 'an LED in its place: too little to excite',
      weight: 0.8,
      byHand: true,
      repair: 'bulb',
      apply: (p) => ({ ...p, led: 1, ohms: LED_OHMS }),
    },
    {
      id: 'heavy',
      leap: true,
      label: 'bulb far too strong, feeds the ignition with the key off',
      weight: 0.5,
      byHand: true,
      repair: 'bulb',
      apply: (p, s) => ({ ...p, watts: between(10, 24, s) }),
    },
    {
      id: 'wire',
      label: 'wire broken',
      weight: 1.5,
      repair: 'wire',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, out: 1, off: 1 }),
    },
  ],
  elements: exciterElements,
};
/** In place of a lamp: what starts the machine where an ammeter, or nothing, tells. */
export const exciteResistor: PartKind<'ohms'> = {
  kind: 'excitation resistor',
  symbol: 'resistor',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 40 * (volts / 12) ** 2, high: 60 * (volts / 12) ** 2 }),
    },
  ],
  repairs: [{ id: 'wire', label: 'Repair the exciter wire', minutes: 20, money: 2 }],
  faults: [
    {
      id: 'wire',
      label: 'broken',
      weight: 2.5,
      repair: 'wire',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
  ],
  elements: exciterElements,
};

/** Of a machine whose consumers nobody has listed: what such a one mostly takes with its lamps on, of what it gives. */
const USUAL_SHARE = 0.4;
/** What the machine takes with all on. */
export function wattsOf(fit: Fit): number {
  const { loads, kind } = fit.charge!;
  return loads.length ? loads.reduce((sum, l) => sum + l.watts, 0) : USUAL_SHARE * mostAmps(kind, fit) * fit.volts;
}

/** All that the machine takes as it runs, as one load; off where a check says so. */
export const consumers: PartKind<never> = {
  kind: 'consumers',
  symbol: 'load',
  plates: [],
  repairs: [],
  faults: [],
  elements: (_p, { id, nodes, fit, state }) => {
    const watts = wattsOf(fit);
    return state.key === 'run' && state.loads === 'all' && watts > 0
      ? [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: fit.volts ** 2 / watts }]
      : [];
  },
};

/** What is always on, and what ought not to be. */
export const standing: PartKind<'ohms'> = {
  kind: 'standing drain',
  symbol: 'load',
  plates: [
    {
      id: 'ohms',
      label: 'Of what is always on',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 600 * volts, high: 6000 * volts }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'find', label: 'Find what draws it, circuit by circuit', minutes: 60, money: 5 }],
  faults: [
    {
      id: 'drain',
      label: 'draws too much at rest',
      weight: 3,
      repair: 'find',
      comesWith: 'shaking',
      apply: (p, s, { volts }) => ({ ...p, ohms: logBetween(300, 4, s) * (volts / 12) }),
    },
  ],
  elements: (p, { id, nodes }) => [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms }],
};

/** Lamps on a coil that charges nothing: they hold its volts down. */
export const lamps: PartKind<'watts'> = {
  kind: 'lamps',
  symbol: 'lamp',
  plates: [{ id: 'watts', label: 'Lamps, all on', dimension: 'ratio', typical: () => ({ low: 30, high: 40 }) }],
  repairs: [{ id: 'bulb', label: 'Replace the lamp', minutes: 5, money: 3 }],
  faults: [{ id: 'blown', label: 'blown', weight: 3, repair: 'bulb', apply: (p) => ({ ...p, watts: 1e-9 }) }],
  elements: (p, { id, nodes, fit }) => [
    {
      type: 'filament',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      hotOhms: fit.volts ** 2 / p.watts,
      ratedVolts: fit.volts,
    },
  ],
};
