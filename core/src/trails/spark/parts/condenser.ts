import { deadShort, logBetween, type PartKind } from '../../../machine/part.ts';

export const condenser: PartKind<'farads' | 'leakOhms'> = {
  kind: 'condenser',
  symbol: 'capacitor',
  plates: [
    { id: 'farads', label: 'Capacitance', dimension: 'capacitance', typical: () => ({ low: 0.18e-6, high: 0.28e-6 }) },
    {
      id: 'leakOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 2e7, high: 5e8 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'replace', label: 'Replace the condenser', minutes: 12, money: 8, goesWith: 'the points' }],
  faults: [
    // From a third of its plate down to the wiring's own 0.2 nF.
    {
      id: 'open',
      label: 'open inside, or has lost its capacitance',
      weight: 3,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, farads: logBetween(60e-9, 0.2e-9, s) }),
    },
    {
      id: 'wrong',
      label: 'of the wrong value: a weak spark, and points that pit on one side',
      weight: 0.4,
      byHand: true,
      repair: 'replace',
      apply: (p, s) => ({ ...p, farads: logBetween(0.9e-6, 3.5e-6, s) }),
    },
    {
      id: 'shorted',
      label: 'shorted',
      weight: 3.5,
      repair: 'replace',
      comesWith: 'heat',
      leap: true,
      apply: (p, s) => ({ ...p, leakOhms: deadShort(s) }),
    },
    {
      id: 'leaky',
      label: 'leaky',
      weight: 2,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, leakOhms: logBetween(150, 12, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'capacitor', id, a: nodes['a']!, b: nodes['b']!, farads: p.farads },
    { type: 'resistor', id: `${id}.leak`, a: nodes['a']!, b: nodes['b']!, ohms: p.leakOhms },
  ],
};
