import { between, type PartKind } from '../../../machine/part.ts';

/** Resting volts against charge at 25 °C: 12.7 full … 11.8 flat; halved for six volts. */
export const battery: PartKind = {
  kind: 'battery',
  plates: [
    {
      id: 'restVolts',
      label: 'Resting voltage',
      dimension: 'voltage',
      typical: (fit) => ({ low: fit.volts * (12.4 / 12), high: fit.volts * (12.75 / 12) }),
      // A six-volt battery in a twelve-volt machine, or two in a row: nothing further is a battery.
      reach: 2.1,
    },
    {
      id: 'ohms',
      label: 'Internal resistance',
      dimension: 'resistance',
      typical: (fit) => (fit.volts === 6 ? { low: 0.004, high: 0.008 } : { low: 0.006, high: 0.014 }),
    },
  ],
  repairs: [
    { id: 'charge', label: 'Charge the battery', minutes: 10, money: 0 },
    { id: 'replace', label: 'Replace the battery', minutes: 15, money: 110 },
  ],
  faults: [
    {
      id: 'flat',
      label: 'flat',
      weight: 5,
      repair: 'charge',
      apply: (p, s, fit) => ({
        ...p,
        restVolts: fit.volts * (between(11.9, 10.8, s) / 12),
        ohms: p['ohms']! * between(1.5, 3, s),
      }),
    },
    {
      id: 'tired',
      label: 'collapses under load',
      weight: 3,
      repair: 'replace',
      apply: (p, s) => ({ ...p, ohms: p['ohms']! * between(4, 9, s) }),
    },
  ],
  // Node a is the live post, b the earth post. Current flows out of the live post on either polarity.
  elements: (p, { id, nodes, fit }) => {
    const emf = p['restVolts']! * (fit.earth === 'positive' ? -1 : 1);
    return [
      { type: 'voltage', id: `${id}.emf`, a: `${id}:emf`, b: nodes['b']!, volts: emf },
      { type: 'resistor', id: `${id}.inside`, a: `${id}:emf`, b: nodes['a']!, ohms: p['ohms']! },
    ];
  },
};
