import { inLine, logBetween, type PartKind } from '../../../machine/part.ts';
import { startingOf } from '../starting.ts';

/** Ohms of a fault in the starter's path count by the current that it must carry: 1 for a hundred amperes of twelve volts. */
export const perHundredAmps = (fit: Parameters<typeof startingOf>[0]): number =>
  (100 / startingOf(fit).amps) * (fit.volts / 12);

/** The thick cable to the starter, with its ends. */
export const starterCable: PartKind<'ohms', 'rotten'> = {
  kind: 'starter cable',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: (fit) => ({ low: 0.0006 * perHundredAmps(fit), high: 0.0015 * perHundredAmps(fit) }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'remake', label: 'Clean and remake the starter cable ends', minutes: 12, money: 2 },
    { id: 'replace', label: 'Replace the starter cable', minutes: 35, money: 30 },
  ],
  faults: [
    {
      id: 'corroded',
      label: 'corroded or loose at an end',
      weight: 3,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p, s, fit) => ({ ...p, ohms: logBetween(0.02, 0.6, s) * perHundredAmps(fit) }),
    },
    {
      id: 'rotten',
      label: 'eaten away under its jacket',
      weight: 1,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s, fit) => ({ ...p, ohms: logBetween(0.02, 0.25, s) * perHundredAmps(fit), rotten: 1 }),
    },
  ],
  elements: inLine,
};
