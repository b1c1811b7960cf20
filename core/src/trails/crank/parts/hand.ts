import { between, type PartKind } from '../../../machine/part.ts';

/** Cord and pawls, a kick lever, or a crank: what a person turns the engine with. */
export const handStart: PartKind<'newtonMetres' | 'grip'> = {
  kind: 'hand start',
  symbol: 'none',
  plates: [
    {
      id: 'newtonMetres',
      label: 'Torque that a person gives',
      dimension: 'ratio',
      typical: (fit) => ({ low: 60 + 20 * fit.litres, high: 90 + 20 * fit.litres }),
      hidden: true,
    },
    {
      id: 'grip',
      label: 'What the pawls carry over',
      dimension: 'ratio',
      typical: () => ({ low: 1, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'cord', label: 'Renew the cord or the lever', minutes: 30, money: 8 },
    { id: 'pawls', label: 'Free or renew the pawls', minutes: 40, money: 15 },
  ],
  faults: [
    {
      id: 'broken',
      label: 'cord broken or spring gone',
      weight: 3,
      repair: 'cord',
      apply: (p) => ({ ...p, newtonMetres: 0 }),
    },
    {
      id: 'pawls',
      label: 'pawls do not catch',
      weight: 2,
      repair: 'pawls',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, grip: between(0.15, 0.03, s) }),
    },
  ],
  elements: () => [],
};
