import { between, type PartKind } from '../../../machine/part.ts';

/** Weights, spring and linkage that move the throttle so that the speed stays. */
export const governor: PartKind<'drag' | 'pull'> = {
  kind: 'governor',
  symbol: 'none',
  plates: [
    {
      id: 'drag',
      label: 'Play and friction, of its travel at idle',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0.05 }),
      hidden: true,
    },
    {
      id: 'pull',
      label: 'Pull of its spring, of what it should be',
      dimension: 'ratio',
      typical: () => ({ low: 0.92, high: 1.08 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'free', label: 'Free the governor linkage, renew its worn joints', minutes: 35, money: 8 },
    { id: 'spring', label: 'Renew the governor spring, or hook it into the correct hole', minutes: 20, money: 6 },
  ],
  faults: [
    {
      id: 'binds',
      label: 'linkage binds or is worn: the speed hunts',
      weight: 2.5,
      repair: 'free',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, drag: between(0.3, 1, s) }),
    },
    {
      id: 'slack-spring',
      label: 'spring stretched, broken or off',
      weight: 1.5,
      byHand: true,
      repair: 'spring',
      apply: (p, s) => ({ ...p, pull: between(0.6, 0.05, s) }),
    },
  ],
  elements: () => [],
};
