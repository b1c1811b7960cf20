import { between, type PartKind } from '../../../machine/part.ts';

/** A solenoid in the carburettor: with the key on it draws its needle back and lets the idle passages flow. */
export const idleCutOff: PartKind<'shut' | 'fed'> = {
  kind: 'idle cut-off',
  plates: [
    {
      id: 'shut',
      label: 'Share of the idle passages that it holds shut',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0.02 }),
      hidden: true,
    },
    {
      id: 'fed',
      label: 'Whether volts arrive at it',
      dimension: 'ratio',
      typical: () => ({ low: 1, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'renew', label: 'Renew the idle cut-off solenoid', minutes: 15, money: 28 },
    { id: 'wire', label: 'Mend the wire of the idle cut-off', minutes: 15, money: 2 },
  ],
  faults: [
    {
      id: 'stuck',
      label: 'does not draw its needle back',
      weight: 1.5,
      repair: 'renew',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, shut: between(0.7, 1, s) }),
    },
    {
      id: 'wire',
      label: 'wire off or without volts',
      weight: 1.5,
      byHand: true,
      repair: 'wire',
      comesWith: 'shaking',
      leap: true,
      apply: (p) => ({ ...p, shut: 1, fed: 0 }),
    },
  ],
  elements: () => [],
};
