import { inLine, between, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

const insulation = {
  id: 'earthOhms',
  label: 'Insulation to the core',
  dimension: 'resistance',
  typical: () => ({ low: 5e7, high: 1e9 }),
  hidden: true,
} as const;

const wound = (ohms: number, earthOhms: number, id: string, a: string, b: string): ReturnType<PartKind['elements']> => [
  { type: 'resistor', id, a, b, ohms },
  { type: 'resistor', id: `${id}.earth`, a, b: '0', ohms: earthOhms },
];

/** Coil under the flywheel that charges the pack; one end on the earth of its core. */
export const chargeCoil: PartKind<'ohms' | 'voltsPerRpm' | 'earthOhms'> = {
  kind: 'charge coil',
  symbol: 'winding',
  plates: [
    { id: 'ohms', label: 'Resistance', dimension: 'resistance', typical: () => ({ low: 440, high: 580 }) },
    {
      id: 'voltsPerRpm',
      label: 'Open peak for each rev/min',
      dimension: 'voltage',
      typical: () => ({ low: 0.66, high: 0.8 }),
      hidden: true,
    },
    insulation,
  ],
  repairs: [{ id: 'replace', label: 'Replace the charge coil', minutes: 75, money: 210 }],
  faults: [
    {
      id: 'open',
      label: 'open inside',
      weight: 2.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'turns',
      label: 'turns shorted',
      weight: 1.5,
      repair: 'replace',
      apply: (p, s) => {
        const kept = between(0.6, 0.08, s);
        return { ...p, ohms: p.ohms * kept, voltsPerRpm: p.voltsPerRpm * kept };
      },
    },
    {
      id: 'breaks-down',
      label: 'breaks down under voltage, though it reads right',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, voltsPerRpm: p.voltsPerRpm * between(0.45, 0.1, s) }),
    },
    {
      id: 'earthed',
      label: 'earthed to its core',
      weight: 1,
      repair: 'replace',
      apply: (p, s) => ({ ...p, earthOhms: logBetween(60, 2, s) }),
    },
  ],
  elements: (p, { id, nodes }) => wound(p.ohms, p.earthOhms, id, nodes['a']!, nodes['b']!),
};

/** Small coil whose pulse tells the pack when to fire. */
export const triggerCoil: PartKind<'ohms' | 'peakVolts' | 'earthOhms', 'farFromMagnet'> = {
  kind: 'trigger coil',
  symbol: 'winding',
  plates: [
    { id: 'ohms', label: 'Resistance', dimension: 'resistance', typical: () => ({ low: 190, high: 260 }) },
    {
      id: 'peakVolts',
      label: 'Peak while cranking',
      dimension: 'voltage',
      typical: () => ({ low: 2.4, high: 4 }),
      hidden: true,
    },
    insulation,
  ],
  repairs: [
    { id: 'replace', label: 'Replace the trigger coil', minutes: 60, money: 85 },
    { id: 'gap', label: 'Set the trigger’s gap', minutes: 30, money: 0 },
  ],
  faults: [
    {
      id: 'open',
      label: 'open inside',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS, peakVolts: 0.001 }),
    },
    {
      id: 'shorted',
      label: 'shorted',
      weight: 0.8,
      repair: 'replace',
      apply: (p, s) => ({ ...p, ohms: p.ohms * logBetween(0.4, 0.004, s), peakVolts: between(0.4, 0.02, s) }),
    },
    {
      id: 'gap',
      label: 'too far from its magnet',
      weight: 1,
      repair: 'gap',
      apply: (p, s) => ({ ...p, peakVolts: between(0.5, 0.1, s), farFromMagnet: 1 }),
    },
  ],
  elements: (p, { id, nodes }) => wound(p.ohms, p.earthOhms, id, nodes['a']!, nodes['b']!),
};

/** Pick-up in a distributor: the same, with a toothed wheel before it. */
export const pickupCoil: PartKind<'ohms' | 'peakVolts' | 'earthOhms', 'farFromMagnet'> = {
  ...triggerCoil,
  kind: 'pick-up coil',
  symbol: 'winding',
  plates: [
    { id: 'ohms', label: 'Resistance', dimension: 'resistance', typical: () => ({ low: 500, high: 900 }) },
    {
      id: 'peakVolts',
      label: 'Peak while cranking',
      dimension: 'voltage',
      typical: () => ({ low: 1.6, high: 2.8 }),
      hidden: true,
    },
    insulation,
  ],
  repairs: [
    { id: 'replace', label: 'Replace the pick-up coil', minutes: 45, money: 45 },
    { id: 'gap', label: 'Set the pick-up’s gap', minutes: 12, money: 0 },
  ],
};

/** Plug and socket in a line of small currents: dirt in it reads well with nothing to carry. */
export const connector: PartKind<'ohms'> = {
  kind: 'connector',
  symbol: 'connector',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.02, high: 0.2 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Clean or remake the connector', minutes: 12, money: 4 }],
  faults: [
    {
      id: 'dirty',
      label: 'corroded inside',
      weight: 2.5,
      repair: 'remake',
      apply: (p, s) => ({ ...p, ohms: logBetween(25e3, 400e3, s) }),
    },
    {
      id: 'apart',
      label: 'apart, or its wire broken',
      weight: 1.5,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
  ],
  elements: inLine,
};
