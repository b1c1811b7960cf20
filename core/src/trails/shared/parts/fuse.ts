import { logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

export const fuse: PartKind<'ratedAmps' | 'ohms' | 'holderOhms'> = {
  kind: 'fuse',
  symbol: 'fuse',
  exchanged: true,
  plates: [
    { id: 'ratedAmps', label: 'Rating', dimension: 'current', typical: () => ({ low: 15, high: 15 }) },
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.003, high: 0.01 }),
      hidden: true,
    },
    {
      id: 'holderOhms',
      label: 'Holder',
      dimension: 'resistance',
      typical: () => ({ low: 0.002, high: 0.02 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the fuse', minutes: 3, money: 1 },
    { id: 'clean-holder', label: 'Clean or replace the fuse holder', minutes: 12, money: 5 },
  ],
  faults: [
    { id: 'blown', label: 'blown', weight: 4, repair: 'replace', apply: (p) => ({ ...p, ohms: OPEN_OHMS }) },
    {
      id: 'holder',
      label: 'holder corroded',
      weight: 3,
      repair: 'clean-holder',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, holderOhms: logBetween(0.6, 500, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'resistor', id: `${id}.holder`, a: nodes['a']!, b: `${id}:clip`, ohms: p.holderOhms },
    { type: 'resistor', id, a: `${id}:clip`, b: nodes['b']!, ohms: p.ohms },
  ],
};

/** Amperes that melt it within seconds: about 1.6 times the rating [12]. */
export const meltingAmps = (ratedAmps: number): number => 1.6 * ratedAmps;
