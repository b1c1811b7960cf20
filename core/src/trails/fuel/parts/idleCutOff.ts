import { between, type PartKind } from '../../../machine/part.ts';
import { hidden } from './carburettor.ts';

/** A solenoid in the carburettor: with the key on it draws its needle back and lets the idle passages flow. */
export const idleCutOff: PartKind<'shut' | 'fed'> = {
  kind: 'idle cut-off',
  symbol: 'none',
  plates: [
    hidden('shut', 'Share of the idle passages held shut', 0, 0.02),
    hidden('fed', 'Whether it has volts', 1, 1),
  ],
  repairs: [
    { id: 'renew', label: 'Renew the idle cut-off solenoid', minutes: 15, money: 28 },
    { id: 'wire', label: 'Mend the wire of the idle cut-off', minutes: 15, money: 2 },
  ],
  faults: [
    {
      id: 'stuck',
      label: 'stuck closed, or its coil burnt out',
      weight: 1.5,
      repair: 'renew',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, shut: between(0.7, 1, s) }),
    },
    {
      id: 'wire',
      label: 'wire off or dead',
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
