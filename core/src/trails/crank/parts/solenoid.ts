import { between, logBetween, OPEN_OHMS, type PartContext, type PartKind } from '../../../machine/part.ts';
import { perHundredAmps } from './cable.ts';

const squared = (volts: number) => (volts / 12) ** 2;
/** Whether what this part moves stands at work. */
const isIn = ({ state, id }: PartContext): boolean => state.at?.[id] === 'in';
/** Whether its contact is welded, where an ohmmeter finds it. */
const holds = ({ welded }: { readonly welded?: number }, { onBench }: PartContext): boolean =>
  onBench === true && (welded ?? 0) > 0;

/**
 * Plunger with a pull-in winding that ends at the motor, and so leaves the circuit when the main contacts close, and a
 * hold winding to earth [10]. Nodes: `a` the battery's stud, `b` the motor's, `s` the small terminal, `earth`.
 */
export const solenoid: PartKind<'pullOhms' | 'holdOhms' | 'pullInVolts' | 'holdVolts' | 'contactOhms', 'welded'> = {
  kind: 'starter solenoid',
  symbol: 'relay',
  plates: [
    {
      id: 'pullOhms',
      label: 'Pull-in winding',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.25 * squared(volts), high: 0.7 * squared(volts) }),
    },
    {
      id: 'holdOhms',
      label: 'Hold winding',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.9 * squared(volts), high: 1.5 * squared(volts) }),
    },
    {
      id: 'pullInVolts',
      label: 'Pulls in from',
      dimension: 'voltage',
      typical: ({ volts }) => ({ low: (6.8 * volts) / 12, high: (7.8 * volts) / 12 }),
      hidden: true,
    },
    {
      id: 'holdVolts',
      label: 'Holds down to',
      dimension: 'voltage',
      typical: ({ volts }) => ({ low: (2.8 * volts) / 12, high: (4 * volts) / 12 }),
      hidden: true,
    },
    {
      id: 'contactOhms',
      label: 'Main contacts',
      dimension: 'resistance',
      typical: (fit) => ({ low: 0.0003 * perHundredAmps(fit), high: 0.001 * perHundredAmps(fit) }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'contacts', label: 'Renew the solenoid contacts', minutes: 60, money: 12 },
    { id: 'replace', label: 'Replace the solenoid', minutes: 50, money: 45 },
  ],
  faults: [
    {
      id: 'burnt',
      label: 'contacts burnt, it clicks but passes little current',
      weight: 6,
      repair: 'contacts',
      apply: (p, s, fit) => ({ ...p, contactOhms: logBetween(0.04, 60, s) * perHundredAmps(fit) }),
    },
    {
      id: 'sticky',
      label: 'plunger sticking, it needs more volts than it gets',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, pullInVolts: p.pullInVolts * between(1.75, 2.2, s) }),
    },
    {
      id: 'pull-open',
      label: 'pull-in winding open',
      weight: 0.8,
      repair: 'replace',
      apply: (p) => ({ ...p, pullOhms: OPEN_OHMS }),
    },
    {
      id: 'hold-open',
      label: 'hold winding open',
      weight: 1,
      repair: 'replace',
      apply: (p) => ({ ...p, holdOhms: OPEN_OHMS }),
    },
    {
      // Whoever measures has taken the battery off: it shows as it turns on, and with an ohmmeter on the part itself.
      id: 'welded',
      leap: true,
      label: 'contacts welded, the starter keeps running',
      weight: 0.8,
      repair: 'contacts',
      apply: (p) => ({ ...p, welded: 1 }),
    },
  ],
  elements: (p, context) => {
    const { id, nodes } = context;
    const [a, b, s, earth] = [nodes['a']!, nodes['b']!, nodes['s']!, nodes['earth']!];
    return [
      { type: 'resistor', id: `${id}.pull`, a: s, b, ohms: p.pullOhms },
      { type: 'resistor', id: `${id}.hold`, a: s, b: earth, ohms: p.holdOhms },
      {
        type: 'switch',
        id: `${id}.contacts`,
        a,
        b,
        closed: isIn(context) || holds(p, context),
        onOhms: p.contactOhms,
        offOhms: OPEN_OHMS,
      },
    ];
  },
};

/** A relay between the key and the solenoid's small terminal. Nodes: `a`, `b` its contact, `s` and `earth` its coil. */
export const startRelay: PartKind<'coilOhms' | 'pullInVolts' | 'contactOhms', 'welded'> = {
  kind: 'start relay',
  symbol: 'relay',
  plates: [
    {
      id: 'coilOhms',
      label: 'Coil of the relay',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 60 * squared(volts), high: 95 * squared(volts) }),
    },
    {
      id: 'pullInVolts',
      label: 'Pulls in from',
      dimension: 'voltage',
      typical: ({ volts }) => ({ low: 0.5 * volts, high: 0.62 * volts }),
      hidden: true,
    },
    {
      id: 'contactOhms',
      label: 'Contact',
      dimension: 'resistance',
      typical: () => ({ low: 0.003, high: 0.012 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the start relay', minutes: 8, money: 12 }],
  faults: [
    {
      id: 'contact',
      label: 'contact burnt',
      weight: 2.5,
      repair: 'replace',
      apply: (p, s, { volts }) => ({ ...p, contactOhms: logBetween(0.5, 60, s) * squared(volts) }),
    },
    {
      id: 'welded',
      leap: true,
      label: 'contact welded, the starter keeps running',
      weight: 0.6,
      repair: 'replace',
      apply: (p) => ({ ...p, welded: 1 }),
    },
    {
      id: 'coil-open',
      label: 'coil open',
      weight: 1,
      repair: 'replace',
      apply: (p) => ({ ...p, coilOhms: OPEN_OHMS }),
    },
  ],
  elements: (p, context) => {
    const { id, nodes } = context;
    return [
      { type: 'resistor', id: `${id}.coil`, a: nodes['s']!, b: nodes['earth']!, ohms: p.coilOhms },
      {
        type: 'switch',
        id: `${id}.contact`,
        a: nodes['a']!,
        b: nodes['b']!,
        closed: isIn(context) || holds(p, context),
        onOhms: p.contactOhms,
        offOhms: OPEN_OHMS,
      },
    ];
  },
};
