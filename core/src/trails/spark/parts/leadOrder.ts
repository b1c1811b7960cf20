import type { PartKind } from '../../../machine/part.ts';

/**
 * Which tower of the cap leads to which plug. `swapped` is 0 where all are right, else the first of two neighbours whose
 * leads have changed places: each then gets its spark on the other's stroke. `crossed` is the same of two neighbours
 * between whose leads the spark jumps now and then.
 */
export const leadOrder: PartKind<'swapped', 'crossed'> = {
  kind: 'lead order',
  symbol: 'none',
  plates: [{ id: 'swapped', label: 'Swapped', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true }],
  repairs: [
    { id: 'sort', label: 'Put the leads in firing order', minutes: 5, money: 0 },
    { id: 'part', label: 'Lay the two leads apart, renew what has tracked', minutes: 15, money: 12 },
  ],
  faults: [
    {
      id: 'swapped',
      leap: true,
      label: 'two of them swapped',
      weight: 1,
      repair: 'sort',
      byHand: true,
      apply: (p, severity, fit) => ({ ...p, swapped: 1 + Math.floor(severity * fit.cylinders * 0.999) }),
    },
    {
      id: 'crossed',
      leap: true,
      label: 'two lie together: the spark jumps across',
      weight: 0.3,
      repair: 'part',
      comesWith: 'damp',
      apply: (p, severity, fit) => ({ ...p, crossed: 1 + Math.floor(severity * fit.cylinders * 0.999) }),
    },
  ],
  elements: () => [],
};

/** Whether a cylinder has its neighbour's spark. */
export const isSwapped = (swapped: number, cylinder: number, cylinders: number): boolean =>
  swapped > 0 && (cylinder === swapped || cylinder === (swapped % cylinders) + 1);
