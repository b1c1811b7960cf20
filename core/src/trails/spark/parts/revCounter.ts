import { deadShort, type PartKind } from '../../../machine/part.ts';

/** The rev counter and its wire from the coil’s switched side: counting, it draws next to nothing. */
export const revCounter: PartKind<'ohms'> = {
  kind: 'rev counter',
  symbol: 'gauge',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance to earth',
      dimension: 'resistance',
      typical: () => ({ low: 2e7, high: 2e8 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'mend', label: 'Mend the rev counter’s wire, or leave it off', minutes: 15, money: 3 }],
  faults: [
    {
      id: 'shorted',
      leap: true,
      label: 'shorted to earth',
      weight: 0.4,
      repair: 'mend',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, ohms: deadShort(s) }),
    },
  ],
  elements: (p, { id, nodes }) => [{ type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms }],
};
