import { shuntOhms } from '../fieldCircuit.ts';
import {
  between,
  logBetween,
  OPEN_OHMS,
  type FaultMode,
  type PartKind,
  type PlateSpec,
} from '../../../machine/part.ts';

type Regulated = 'setVolts' | 'warmthVolts';
const setting = (low: number, high: number): PlateSpec<'setVolts'> => ({
  id: 'setVolts',
  label: 'Set point at 25 °C',
  dimension: 'voltage',
  typical: ({ volts }) => ({ low: (low * volts) / 12, high: (high * volts) / 12 }),
});
/** A regulator gives way by 7 to 10 mV for each kelvin that it warms (SOURCES, charging): over twenty either way. */
const warmth: PlateSpec<'warmthVolts'> = {
  id: 'warmthVolts',
  label: 'What its warmth takes off or adds',
  dimension: 'voltage',
  typical: ({ volts }) => ({ low: (-0.17 * volts) / 12, high: (0.17 * volts) / 12 }),
  hidden: true,
};
const faults = (repair: string): FaultMode<Regulated, 'dead'>[] => [
  {
    id: 'low',
    label: 'regulates too low',
    weight: 1.2,
    repair,
    apply: (p, s, { volts }) => ({ ...p, setVolts: (between(13, 12.3, s) * volts) / 12 }),
  },
  {
    id: 'high',
    label: 'regulates too high, or not at all',
    weight: 2,
    repair,
    comesWith: 'heat',
    apply: (p, s, { volts }) => ({ ...p, setVolts: (between(15.8, 19, s) * volts) / 12 }),
  },
  {
    id: 'dead',
    label: 'lets nothing through',
    weight: 2,
    repair,
    comesWith: 'heat',
    apply: (p) => ({ ...p, setVolts: 0, dead: 1 }),
  },
];

/** The wire by which a regulator that stands apart feels the battery: what it loses there it makes up for. */
const sense: FaultMode<Regulated, 'dead' | 'senseVolts'> = {
  id: 'sense',
  label: 'sense wire off or badly connected, it overcharges',
  weight: 1,
  byHand: true,
  repair: 'sense',
  comesWith: 'shaking',
  from: { senseVolts: 0 },
  apply: (p, s, { volts }) => ({ ...p, senseVolts: (between(0.6, 4, s) * volts) / 12 }),
};
/** A transistor regulator, in the machine or in a box of its own. */
export const regulator: PartKind<Regulated, 'dead'> = {
  kind: 'regulator',
  symbol: 'none',
  plates: [setting(13.9, 14.5), warmth],
  repairs: [{ id: 'replace', label: 'Replace the regulator', minutes: 30, money: 45 }],
  faults: faults('replace'),
  elements: () => [],
};
/** The same in a box of its own. */
export const regulatorApart: PartKind<Regulated, 'dead' | 'senseVolts'> = {
  ...regulator,
  repairs: [...regulator.repairs, { id: 'sense', label: 'Repair the regulator’s sense wire', minutes: 15, money: 2 }],
  faults: [...faults('replace'), sense],
};
/** Vibrating contacts in a box, beside the cut-out. */
export const regulatorBox: PartKind<Regulated, 'dead'> = {
  kind: 'regulator box',
  symbol: 'none',
  plates: [setting(13.9, 14.6), warmth],
  repairs: [
    { id: 'set', label: 'Clean and set the regulator contacts', minutes: 35, money: 0 },
    { id: 'replace', label: 'Replace the regulator box', minutes: 30, money: 90 },
  ],
  faults: faults('set').map((f) => (f.id === 'dead' ? { ...f, repair: 'replace' } : f)),
  elements: () => [],
};
/** What its diodes let by backwards when they are sound, ohms. */
const SOUND_LEAK_OHMS = 3e5;
/** Rectifier and regulator of a flywheel's coils in one block of cast metal. */
export const regulatorRectifier: PartKind<Regulated, 'dead' | 'leakOhms'> = {
  kind: 'regulator-rectifier',
  symbol: 'rectifier',
  plates: [setting(14, 14.6), warmth],
  repairs: [{ id: 'replace', label: 'Replace the regulator-rectifier', minutes: 25, money: 95 }],
  faults: [
    ...faults('replace'),
    {
      id: 'leaks',
      from: { leakOhms: SOUND_LEAK_OHMS },
      label: 'leaks through a diode, drains the battery at rest',
      weight: 1,
      repair: 'replace',
      apply: (p, s, { volts }) => ({ ...p, leakOhms: logBetween(120, 5, s) * (volts / 12) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.leakOhms ?? SOUND_LEAK_OHMS },
  ],
};

/** The regulator's own earth: it measures against it. */
export const regulatorEarth: PartKind<'ohms'> = {
  kind: 'regulator earth',
  symbol: 'none',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.002, high: 0.02 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Clean and remake the regulator earth', minutes: 12, money: 1 }],
  faults: [
    {
      id: 'poor',
      label: 'poor',
      weight: 2,
      repair: 'remake',
      comesWith: 'shaking',
      // Where only the shunt winding measures through it, it takes ohms to mislead it.
      apply: (p, s, fit) => ({
        ...p,
        ohms:
          shuntOhms(fit) !== undefined
            ? logBetween(3, 20, s) * (fit.volts / 12) ** 2
            : logBetween(0.5, 2.2, s) * (fit.volts / 12) ** 2,
      }),
    },
    {
      id: 'off',
      label: 'off',
      weight: 1,
      byHand: true,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
  ],
  elements: () => [],
};

/** Closes once the generator stands above the battery; nodes `a` generator, `b` battery side. `closes` is put in. */
export const cutOut: PartKind<'ohms', 'stays' | 'closesIdle' | 'closesFast'> = {
  kind: 'cut-out',
  symbol: 'relay',
  plates: [
    {
      id: 'ohms',
      label: 'Contact',
      dimension: 'resistance',
      typical: () => ({ low: 0.003, high: 0.02 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'set', label: 'Clean and set the cut-out', minutes: 25, money: 0 }],
  faults: [
    { id: 'open', label: 'does not close', weight: 1.5, repair: 'set', apply: (p) => ({ ...p, stays: -1 }) },
    {
      id: 'welded',
      label: 'welded shut, drains the battery through the generator',
      weight: 0.8,
      repair: 'set',
      apply: (p) => ({ ...p, stays: 1 }),
    },
  ],
  elements: (p, { id, nodes, state }) => [
    {
      type: 'switch',
      id,
      a: nodes['a']!,
      b: nodes['b']!,
      closed:
        (p.stays ?? 0) > 0.5 ||
        ((p.stays ?? 0) > -0.5 &&
          state.key === 'run' &&
          (p[state.speed === 'fast' ? 'closesFast' : 'closesIdle'] ?? 0) > 0.5),
      onOhms: p.ohms,
      offOhms: OPEN_OHMS,
    },
  ],
};
