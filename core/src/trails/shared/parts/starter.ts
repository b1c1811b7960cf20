import type { PartKind } from '../../../machine/part.ts';

/** The starter as the ignition feels it: a load that pulls the battery down while cranking. */
export const starter: PartKind<'ohms'> = {
  kind: 'starter',
  symbol: 'motor',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance while cranking',
      dimension: 'resistance',
      typical: (fit) => (fit.volts === 6 ? { low: 0.024, high: 0.034 } : { low: 0.05, high: 0.075 }),
      hidden: true,
    },
  ],
  repairs: [],
  faults: [],
  elements: (p, { id, nodes, state }) =>
    state.key === 'crank' ? [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms }] : [],
};

/** The warning lamp on the dash: fed by the switch, earthed through the engine. */
export const warningLamp: PartKind<'watts'> = {
  kind: 'warning lamp',
  symbol: 'lamp',
  plates: [
    { id: 'watts', label: 'Lamp power', dimension: 'ratio', typical: () => ({ low: 2, high: 2.4 }), hidden: true },
  ],
  repairs: [],
  faults: [],
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
