import { inLine, logBetween, OPEN_OHMS, type FaultMode, type PartKind, type PlateSpec } from '../../../machine/part.ts';

const ohms = (low: number, high: number, hidden: boolean): PlateSpec<'ohms'> => ({
  id: 'ohms',
  label: 'Resistance',
  dimension: 'resistance',
  typical: () => ({ low, high }),
  ...(hidden ? { hidden } : {}),
});
const failing = (repair: string): FaultMode<'ohms'>[] => [
  {
    id: 'open',
    label: 'open inside',
    weight: 2.5,
    repair,
    comesWith: 'shaking',
    apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
  },
  {
    id: 'poor',
    label: 'poorly connected',
    weight: 2,
    repair,
    comesWith: 'shaking',
    apply: (p, s) => ({ ...p, ohms: p.ohms + logBetween(0.6, 120, s) }),
  },
];
/** Something that an earlier owner put into the feed: a box, a relay's contacts, an alarm. */
export const addedBox: PartKind<'ohms'> = {
  kind: 'added box',
  symbol: 'box',
  plates: [ohms(0.02, 0.12, true)],
  repairs: [{ id: 'remove', label: 'Take out what was added and join the wire', minutes: 15, money: 3 }],
  faults: failing('remove'),
  elements: inLine,
};

/** A resistor that an earlier owner put in: sound, it still takes volts from the coil. */
export const addedResistor: PartKind<'ohms'> = { ...addedBox, kind: 'added resistor', plates: [ohms(0.8, 1.6, false)] };

/** Neutral, seat or tether switch in the feed. */
export const interlock: PartKind<'ohms'> = {
  kind: 'interlock switch',
  symbol: 'switch',
  plates: [ohms(0.01, 0.06, true)],
  repairs: [{ id: 'replace', label: 'Replace or set the interlock switch', minutes: 20, money: 18 }],
  faults: failing('replace'),
  elements: inLine,
};

/** Capacitor against radio noise on the coil's feed; shorted, it blows the fuse as a chafed wire does. */
export const suppressor: PartKind<'farads' | 'leakOhms'> = {
  kind: 'suppression capacitor',
  symbol: 'capacitor',
  plates: [
    {
      id: 'farads',
      label: 'Capacitance',
      dimension: 'capacitance',
      typical: () => ({ low: 0.8e-6, high: 2.4e-6 }),
      hidden: true,
    },
    {
      id: 'leakOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 2e7, high: 5e8 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the suppression capacitor', minutes: 8, money: 6 }],
  faults: [
    {
      id: 'shorted',
      label: 'shorted',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      leap: true,
      apply: (p, s) => ({ ...p, leakOhms: logBetween(0.4, 0.02, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'capacitor', id, a: nodes['a']!, b: nodes['b']!, farads: p.farads },
    { type: 'resistor', id: `${id}.leak`, a: nodes['a']!, b: nodes['b']!, ohms: p.leakOhms },
  ],
};
