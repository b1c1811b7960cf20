import { inLine, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

/** Wire between a generator's field terminal and its regulator box: a few amperes. */
export const fieldWire: PartKind<'ohms' | 'earthOhms'> = {
  kind: 'field wire',
  symbol: 'none',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.02 * (volts / 12) ** 2, high: 0.1 * (volts / 12) ** 2 }),
      hidden: true,
    },
    {
      id: 'earthOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: 2e7, high: 2e8 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'remake', label: 'Remake the field wire ends', minutes: 15, money: 2 },
    { id: 'replace', label: 'Replace the field wire', minutes: 30, money: 4 },
  ],
  faults: [
    {
      id: 'broken',
      label: 'broken or off',
      weight: 1.5,
      byHand: true,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
    {
      id: 'poor',
      label: 'a joint of it poor: the field gets too little',
      weight: 1,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p, s, { volts }) => ({ ...p, ohms: logBetween(4, 40, s) * (volts / 12) ** 2 }),
    },
    {
      id: 'earthed',
      label: 'chafed through to earth',
      weight: 1,
      repair: 'replace',
      comesWith: 'shaking',
      leap: true,
      apply: (p, s, { volts }) => ({ ...p, earthOhms: logBetween(0.15, 0.02, s) * (volts / 12) ** 2 }),
    },
  ],
  elements: inLine,
};
