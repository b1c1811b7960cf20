import { inLine, between, logBetween, type Figures, type PartKind, type PlateSpec } from '../../../machine/part.ts';

/** Most cylinders that a pack fires here. */
const CHANNELS = [1, 2, 3, 4, 6, 8].at(-1)!;

/** Of an output that is dead, by its number. */
export type DeadOutput = `dead-${1 | 2 | 3 | 4 | 5 | 6 | 7 | 8}`;
export const deadOutput = (n: number) => `dead-${n}` as DeadOutput;
const channel = (n: number) => ({
  id: `channel-${n}`,
  family: 'channel',
  cylinder: n,
  label: `output ${n} dead`,
  weight: 0.8,
  repair: 'replace',
  comesWith: 'heat' as const,
  apply: <F extends Figures<never, DeadOutput>>(p: F): F => ({ ...p, [deadOutput(n)]: 1 }),
});

const channels = Array.from({ length: CHANNELS }, (_, i) => channel(i + 1));
const dead = {
  id: 'dead',
  label: 'dead',
  weight: 3,
  repair: 'replace',
  comesWith: 'heat' as const,
  apply: <F extends Figures<'dead'>>(p: F): F => ({ ...p, dead: 1 }),
};

/** Power pack: store, thyristors, one output for each coil. Nothing in it can be measured with a plain meter. */
export const pack: PartKind<'farads' | 'leakOhms' | 'triggerVolts' | 'limitVolts' | 'dead', DeadOutput> = {
  kind: 'power pack',
  symbol: 'module',
  plates: [
    {
      id: 'farads',
      label: 'Store',
      dimension: 'capacitance',
      typical: () => ({ low: 1.7e-6, high: 2e-6 }),
      hidden: true,
    },
    {
      id: 'leakOhms',
      label: 'Leak of the store',
      dimension: 'resistance',
      typical: () => ({ low: 5e6, high: 5e7 }),
      hidden: true,
    },
    {
      id: 'triggerVolts',
      label: 'Trigger it asks for',
      dimension: 'voltage',
      typical: () => ({ low: 0.7, high: 1 }),
      hidden: true,
    },
    {
      id: 'limitVolts',
      label: 'Store held to',
      dimension: 'voltage',
      typical: () => ({ low: 300, high: 340 }),
      hidden: true,
    },
    { id: 'dead', label: 'Gives nothing', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
  ],
  repairs: [{ id: 'replace', label: 'Replace the power pack', minutes: 30, money: 260 }],
  faults: [
    dead,
    {
      id: 'leaky',
      label: 'store leaks under voltage',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, leakOhms: logBetween(40e3, 3e3, s) }),
    },
    ...channels,
  ],
  elements: (_p, { id, nodes }) => [
    // What an ohmmeter finds across its inputs: a diode string at a millivolt, which is nearly nothing.
    { type: 'resistor', id: `${id}.in`, a: nodes['in']!, b: nodes['earth']!, ohms: 3e6 },
    { type: 'resistor', id: `${id}.trigger`, a: nodes['trigger']!, b: nodes['earth']!, ohms: 30e3 },
  ],
};

/** Pack that makes its own high voltage from the battery. */
export const batteryPack: PartKind<'farads' | 'triggerVolts' | 'dead' | 'storeVolts', DeadOutput> = {
  kind: 'battery-fed pack',
  symbol: 'module',
  repairs: pack.repairs,
  plates: [
    ...pack.plates.filter(
      (p): p is PlateSpec<'farads' | 'triggerVolts' | 'dead'> => p.id !== 'leakOhms' && p.id !== 'limitVolts',
    ),
    {
      id: 'storeVolts',
      label: 'Voltage of its store',
      dimension: 'voltage',
      typical: () => ({ low: 240, high: 300 }),
      hidden: true,
    },
  ],
  faults: [
    dead,
    ...channels,
    {
      id: 'weak',
      label: 'converter voltage too low',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, storeVolts: between(110, 40, s) }),
    },
  ],
  elements: (_p, { id, nodes, state }) => [
    // Its converter draws some 1.5 A while it turns, little as it waits.
    {
      type: 'resistor',
      id: `${id}.in`,
      a: nodes['in']!,
      b: nodes['earth']!,
      ohms: state.key === 'on' ? 60 : 7,
    },
    { type: 'resistor', id: `${id}.trigger`, a: nodes['trigger']!, b: nodes['earth']!, ohms: 12e3 },
  ],
};

/** Joint between the pack's case or black wire and the engine. */
export const packEarth: PartKind<'ohms'> = {
  kind: 'pack earth',
  symbol: 'joint',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.01, high: 0.08 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Clean the pack’s earth', minutes: 8, money: 0 }],
  faults: [
    {
      id: 'poor',
      label: 'poor or off',
      weight: 2.5,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, ohms: logBetween(15, 2000, s) }),
    },
  ],
  elements: inLine,
};
