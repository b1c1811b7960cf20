import { deadShort, logBetween, type PartKind } from '../../../machine/part.ts';

/** Insulation of a condenser that is good, ohms, and of one that has gone by all means. */
const GOOD_OHMS = 2e7;
const GONE_OHMS = 1e6;
/**
 * By how much paper that has gone leaks more under the hundreds of volts of a firing coil than on an ohmmeter, which is
 * why testers put its working volts on it. Judgement.
 */
const UNDER_VOLTS = 250;
/** Ohms of a condenser's insulation under its working volts, by what an ohmmeter finds. */
export function leakAtWork(ohms: number): number {
  const gone = Math.log(GOOD_OHMS / ohms) / Math.log(GOOD_OHMS / GONE_OHMS);
  return ohms / UNDER_VOLTS ** Math.min(1, Math.max(0, gone));
}

export const condenser: PartKind<'farads' | 'leakOhms'> = {
  kind: 'condenser',
  symbol: 'capacitor',
  plates: [
    { id: 'farads', label: 'Capacitance', dimension: 'capacitance', typical: () => ({ low: 0.18e-6, high: 0.28e-6 }) },
    {
      id: 'leakOhms',
      label: 'Insulation',
      dimension: 'resistance',
      typical: () => ({ low: GOOD_OHMS, high: 5e8 }),
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
      apply: (p, s) => ({ ...p, leakOhms: logBetween(2e5, 500, s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'capacitor', id, a: nodes['a']!, b: nodes['b']!, farads: p.farads },
    { type: 'resistor', id: `${id}.leak`, a: nodes['a']!, b: nodes['b']!, ohms: p.leakOhms },
  ],
};
