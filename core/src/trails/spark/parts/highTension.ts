import { between, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

/** A high-tension lead. Suppression lead is 10–20 kΩ/m; old wire cores read almost nothing. */
export const htLead: PartKind<'ohms' | 'shuntOhms', 'gapVolts'> = {
  kind: 'high-tension lead',
  symbol: 'lead',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 2500, high: 11000 }),
      // A copper lead has hardly any.
      least: 0.01,
    },
    {
      id: 'shuntOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 2e8, high: 2e9 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the lead', minutes: 5, money: 9 }],
  faults: [
    {
      id: 'open',
      label: 'core broken',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, ohms: OPEN_OHMS, gapVolts: logBetween(7e3, 40e3, s) }),
    },
    {
      id: 'leaking',
      label: 'insulation leaks to earth',
      weight: 1,
      repair: 'replace',
      comesWith: 'damp',
      apply: (p, s) => ({ ...p, shuntOhms: logBetween(300e3, 30e3, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms },
    { type: 'resistor', id: `${id}.leak`, a: nodes['b']!, b: '0', ohms: p.shuntOhms },
  ],
  highTension: (p) => ({
    seriesOhms: Math.min(p.ohms, 50e3),
    gapVolts: p.gapVolts ?? 0,
    shuntOhms: p.shuntOhms,
  }),
};

/** The resistor in a plug of that kind, ohms (SOURCES, high tension). */
const RESISTOR_PLUG = { low: 3e3, high: 7.5e3 } as const;

const PLUG_PLATES: PartKind<'gapMetres' | 'ohms' | 'shuntOhms'>['plates'] = [
  {
    id: 'gapMetres',
    setAs: 'all',
    label: 'Plug gap',
    dimension: 'length',
    typical: (fit) => (fit.volts === 6 ? { low: 0.5e-3, high: 0.65e-3 } : { low: 0.6e-3, high: 0.75e-3 }),
  },
  {
    id: 'ohms',
    label: 'Plug resistor',
    dimension: 'resistance',
    typical: ({ resistorPlugs }) => (resistorPlugs ? RESISTOR_PLUG : { low: 0, high: 0 }),
    // A plain plug has none, and one that has burnt away is no plug.
    least: 0,
    most: 100e3,
  },
  {
    id: 'shuntOhms',
    label: 'Insulator',
    dimension: 'resistance',
    typical: () => ({ low: 5e7, high: 1e9 }),
    hidden: true,
  },
];

/** Under this a plug is bridged, not fouled, ohms. */
export const BRIDGED_OHMS = 200;

/** One plug on one cylinder. */
export const plug: PartKind<'gapMetres' | 'ohms' | 'shuntOhms', 'flashVolts' | 'tooHot'> = {
  kind: 'spark plug',
  symbol: 'plug',
  exchanged: true,
  plates: PLUG_PLATES,
  repairs: [{ id: 'replace', label: 'Clean or replace the plug', minutes: 6, money: 5 }],
  faults: [
    {
      id: 'fouled',
      label: 'fouled',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s) => ({ ...p, shuntOhms: logBetween(900e3, 2e3, s) }),
    },
    {
      id: 'wide',
      label: 'gap burnt wide',
      weight: 0.5,
      byHand: true,
      repair: 'replace',
      apply: (p, s) => ({ ...p, gapMetres: between(1.8e-3, 3e-3, s) }),
    },
    {
      id: 'narrow',
      label: 'gapped too narrow, or its electrode knocked shut',
      weight: 0.2,
      byHand: true,
      repair: 'replace',
      apply: (p, s) => ({ ...p, gapMetres: between(0.3e-3, 0.1e-3, s) }),
    },
    {
      id: 'hot',
      leap: true,
      label: 'heat range too hot, it glows',
      weight: 0.15,
      byHand: true,
      repair: 'replace',
      apply: (p, s) => ({ ...p, tooHot: between(0.5, 1, s) }),
    },
    {
      id: 'bridged',
      label: 'bridged by a bead of carbon or metal',
      weight: 0.6,
      repair: 'replace',
      apply: (p, s) => ({ ...p, shuntOhms: logBetween(BRIDGED_OHMS, 0.5, s) }),
    },
    {
      // It measures well: the spark leaves through the crack under pressure.
      id: 'cracked',
      label: 'insulator cracked',
      weight: 0.5,
      byHand: true,
      repair: 'replace',
      from: { flashVolts: 30e3 },
      apply: (p, s) => ({ ...p, flashVolts: between(9e3, 3e3, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [{ type: 'resistor', id: `${id}.leak`, a: nodes['a']!, b: '0', ohms: p.shuntOhms }],
  highTension: (p) => ({
    seriesOhms: p.ohms,
    shuntOhms: p.shuntOhms,
    ...(p.flashVolts === undefined ? {} : { flashVolts: p.flashVolts }),
  }),
};

/** What has happened to all the plugs at once: flooded, sooted, or all gapped wide. */
export const plugSet: PartKind<'shuntOhms' | 'extraGap' | 'wets', 'seriesOhms' | 'tooHot' | 'tooCold'> = {
  kind: 'set of plugs',
  symbol: 'none',
  plates: [
    {
      id: 'shuntOhms',
      label: 'Insulators',
      dimension: 'resistance',
      typical: () => ({ low: 5e8, high: 2e9 }),
      hidden: true,
    },
    {
      id: 'extraGap',
      label: 'Gap beyond the plate value',
      dimension: 'length',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
    {
      // What a dead cylinder's plug reads depends on how long it was turned and how long it stood.
      id: 'wets',
      label: 'How dry a plug stays that does not fire',
      dimension: 'ratio',
      typical: () => ({ low: 0.15, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Clean and gap, or replace, the whole set of plugs', minutes: 25, money: 22 },
    { id: 'range', label: 'Fit plugs of the heat range that the book names', minutes: 25, money: 22 },
    { id: 'plain', label: 'Fit plugs without a resistor: the leads have theirs', minutes: 25, money: 22 },
  ],
  faults: [
    {
      id: 'fouled',
      label: 'all wet or sooted',
      weight: 5,
      repair: 'replace',
      apply: (p, s) => ({ ...p, shuntOhms: logBetween(600e3, 5e3, s) }),
    },
    {
      id: 'wide',
      label: 'all gapped too wide',
      weight: 0.7,
      repair: 'replace',
      apply: (p, s) => ({ ...p, extraGap: between(0.9e-3, 2e-3, s) }),
    },
    {
      id: 'narrow',
      label: 'all gapped too narrow',
      weight: 0.25,
      byHand: true,
      repair: 'replace',
      apply: (p, s) => ({ ...p, extraGap: between(-0.3e-3, -0.45e-3, s) }),
    },
    {
      id: 'hot',
      leap: true,
      label: 'heat range too hot, they glow',
      weight: 0.3,
      byHand: true,
      repair: 'range',
      apply: (p, s) => ({ ...p, tooHot: between(0.5, 1, s) }),
    },
    {
      // Below some 450 °C its nose does not burn itself clean: soot bridges it. Judgement.
      id: 'cold',
      leap: true,
      label: 'heat range too cold, they soot up',
      weight: 0.3,
      byHand: true,
      repair: 'range',
      apply: (p, s) => ({ ...p, tooCold: 1, shuntOhms: logBetween(4e6, 700e3, s) }),
    },
    {
      id: 'resistive',
      from: { seriesOhms: 0 },
      label: 'of the resistor kind, on leads that resist as well',
      weight: 0.4,
      byHand: true,
      repair: 'plain',
      apply: (p, s) => ({ ...p, seriesOhms: between(5e3, 25e3, s) }),
    },
  ],
  elements: () => [],
  highTension: (p) => ({ seriesOhms: p.seriesOhms ?? 0, shuntOhms: p.shuntOhms }),
};
