import { logBetween, type PartKind } from '../../../machine/part.ts';

/** All joints of a feed at once: none is bad, each takes a little. What `eachOhms` adds is put into the joints themselves. */
export const joints: PartKind<'eachOhms'> = {
  kind: 'joints of a feed',
  symbol: 'none',
  plates: [
    {
      id: 'eachOhms',
      label: 'What each joint takes over a clean one',
      dimension: 'resistance',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Clean every joint from the battery to the coil', minutes: 45, money: 5 }],
  faults: [
    {
      id: 'weathered',
      label: 'all of them a little corroded',
      weight: 0.6,
      repair: 'remake',
      apply: (p, s, { volts }) => ({ ...p, eachOhms: logBetween(0.18, 0.8, s) * (volts / 12) ** 2 }),
    },
  ],
  elements: () => [],
};
