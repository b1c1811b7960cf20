import { between, type PartKind } from '../../../machine/part.ts';

/** A valve that leads the crankcase’s vapours into the manifold: a small leak that is meant, and no more. */
export const breather: PartKind<'leakShare' | 'openShare'> = {
  kind: 'crankcase valve',
  symbol: 'none',
  plates: [
    {
      id: 'leakShare',
      label: 'Extra air that it lets by, of what an idle takes',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0.006 }),
      hidden: true,
    },
    {
      id: 'openShare',
      label: 'Free area, of a clean one',
      dimension: 'ratio',
      typical: () => ({ low: 0.9, high: 1 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'renew', label: 'Renew the crankcase ventilation valve', minutes: 15, money: 9 },
    { id: 'clear', label: 'Clear the crankcase ventilation valve and its hose', minutes: 20, money: 2 },
  ],
  faults: [
    {
      id: 'open',
      label: 'stuck open',
      weight: 1.5,
      repair: 'renew',
      apply: (p, s) => ({ ...p, leakShare: between(0.3, 0.9, s) }),
    },
    {
      id: 'blocked',
      label: 'gummed shut, or its hose blocked',
      weight: 1.2,
      repair: 'clear',
      apply: (p, s) => ({ ...p, openShare: between(0.3, 0, s) }),
    },
  ],
  elements: () => [],
};
