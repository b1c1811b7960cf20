import type { PartKind } from '../../../machine/part.ts';

/**
 * Which tower of the cap leads to which plug. `swapped` is 0 where all are right, else the first of two neighbours whose
 * leads have changed places: each then gets its spark on the other's stroke.
 */
export const leadOrder: PartKind<'swapped'> = {
  kind: 'lead order',
  plates: [{ id: 'swapped', label: 'Swapped', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true }],
  repairs: [{ id: 'sort', label: 'Put the leads in firing order', minutes: 5, money: 0 }],
  faults: [
    {
      id: 'swapped',
      leap: true,
      label: 'two of them swapped',
      weight: 0.6,
      repair: 'sort',
      byHand: true,
      apply: (p, severity, fit) => ({ ...p, swapped: 1 + Math.floor(severity * fit.cylinders * 0.999) }),
    },
  ],
  elements: () => [],
};

/** Whether a cylinder has its neighbour's spark. */
export const isSwapped = (swapped: number, cylinder: number, cylinders: number): boolean =>
  swapped > 0 && (cylinder === swapped || cylinder === (swapped % cylinders) + 1);
