import { between, type PartKind } from '../../../machine/part.ts';

/** A lever or cable that holds a valve off its seat while the engine is turned over, and lets it shut to fire. */
export const decompressor: PartKind<'leakSquareMetres' | 'lifts'> = {
  kind: 'decompressor',
  symbol: 'none',
  plates: [
    {
      id: 'leakSquareMetres',
      label: 'What it lets by when released',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0.03e-6 }),
      hidden: true,
    },
    {
      id: 'lifts',
      label: 'How far it lifts, of what it should',
      dimension: 'ratio',
      typical: () => ({ low: 0.9, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'set', label: 'Free and set the decompressor and its cable', minutes: 20, money: 4 }],
  faults: [
    {
      id: 'stays',
      label: 'does not release, the valve stays open',
      weight: 1.5,
      byHand: true,
      repair: 'set',
      apply: (p, s) => ({ ...p, leakSquareMetres: between(8e-6, 40e-6, s) }),
    },
    {
      id: 'dead',
      label: 'does not lift, the engine turns against full compression',
      weight: 1.2,
      byHand: true,
      repair: 'set',
      apply: (p, s) => ({ ...p, lifts: between(0.4, 0, s) }),
    },
  ],
  elements: () => [],
};
