import { inLine, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';

/** A master switch in the battery’s live cable: all that the machine draws goes through it. */
export const isolator: PartKind<'ohms', 'off'> = {
  kind: 'battery isolator',
  symbol: 'switch',
  plates: [
    {
      id: 'ohms',
      label: 'Contact',
      dimension: 'resistance',
      typical: ({ volts }) => ({ low: 0.0001 * (volts / 12), high: 0.0006 * (volts / 12) }),
      hidden: true,
    },
  ],
  does: ['works at the battery'],
  repairs: [
    { id: 'replace', label: 'Replace the battery isolator', minutes: 25, money: 22 },
    { id: 'on', label: 'Turn the battery isolator on', minutes: 1, money: 0 },
  ],
  faults: [
    {
      id: 'burnt',
      label: 'contacts burnt or loose',
      weight: 2,
      repair: 'replace',
      comesWith: 'shaking',
      apply: (p, s, { volts }) => ({ ...p, ohms: logBetween(0.01, 2, s) * (volts / 12) }),
    },
    {
      id: 'off',
      leap: true,
      label: 'off, or key only half in',
      weight: 1,
      byHand: true,
      repair: 'on',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS, off: 1 }),
    },
  ],
  elements: inLine,
};
