import { between, type PartKind } from '../../../machine/part.ts';
import { hidden } from './carburettor.ts';
import { blocked, freeArea } from './supply.ts';

/** A tap with a diaphragm: the manifold’s vacuum opens it, a spring shuts it; on prime it is open by hand. */
export const vacuumTap: PartKind<'squareMetres' | 'opens' | 'weeps', 'hoseOff'> = {
  kind: 'vacuum fuel tap',
  symbol: 'none',
  plates: [
    { id: 'squareMetres', label: 'Free area', dimension: 'ratio', typical: freeArea, hidden: true },
    hidden('opens', 'How far vacuum opens it', 0.95, 1),
    hidden('weeps', 'Fuel that passes the diaphragm, of what an idle takes', 0, 0.01),
  ],
  repairs: [
    { id: 'clean', label: 'Clean tap and strainer', minutes: 25, money: 2 },
    { id: 'renew', label: 'Renew the vacuum tap or its diaphragm', minutes: 25, money: 24 },
    { id: 'hose', label: 'Renew the vacuum hose of the tap', minutes: 8, money: 3 },
  ],
  faults: [
    blocked(1.5, 'clean', 'strainer blocked'),
    {
      id: 'shut',
      label: 'does not open, diaphragm stiff or torn',
      weight: 1.5,
      repair: 'renew',
      apply: (p, s) => ({ ...p, opens: between(0.2, 0.01, s) }),
    },
    {
      id: 'hose',
      label: 'does not open, vacuum hose off or split',
      weight: 1.5,
      byHand: true,
      leap: true,
      repair: 'hose',
      apply: (p, s) => ({ ...p, opens: between(0.08, 0.005, s), hoseOff: 1 }),
    },
    {
      id: 'weeps',
      label: 'diaphragm leaks, fuel drawn through the vacuum hose',
      weight: 1.2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, weeps: between(0.35, 1.4, s) }),
    },
  ],
  elements: () => [],
};
