import { between, logBetween, type PartKind } from '../../../machine/part.ts';
import { freeArea } from './supply.ts';

/** A tap with a diaphragm: the manifold’s vacuum opens it, a spring shuts it; on prime it is open by hand. */
export const vacuumTap: PartKind<'squareMetres' | 'opens' | 'weeps', 'hoseOff'> = {
  kind: 'vacuum fuel tap',
  plates: [
    { id: 'squareMetres', label: 'Free area, open', dimension: 'ratio', typical: freeArea, hidden: true },
    {
      id: 'opens',
      label: 'How far vacuum opens it',
      dimension: 'ratio',
      typical: () => ({ low: 0.95, high: 1 }),
      hidden: true,
    },
    {
      id: 'weeps',
      label: 'Fuel drawn through its diaphragm, of an idle’s own',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0.01 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'clean', label: 'Clean tap and strainer', minutes: 25, money: 2 },
    { id: 'renew', label: 'Renew the vacuum tap or its diaphragm', minutes: 25, money: 24 },
    { id: 'hose', label: 'Renew the vacuum hose of the tap', minutes: 8, money: 3 },
  ],
  faults: [
    {
      id: 'blocked',
      label: 'strainer blocked',
      weight: 1.5,
      repair: 'clean',
      apply: (p, s) => ({ ...p, squareMetres: p.squareMetres * logBetween(0.06, 0.002, s) }),
    },
    {
      id: 'shut',
      label: 'does not open: diaphragm stiff or torn',
      weight: 1.5,
      repair: 'renew',
      apply: (p, s) => ({ ...p, opens: between(0.2, 0.01, s) }),
    },
    {
      id: 'hose',
      label: 'does not open: its vacuum hose off or split',
      weight: 1.5,
      byHand: true,
      leap: true,
      repair: 'hose',
      apply: (p, s) => ({ ...p, opens: between(0.08, 0.005, s), hoseOff: 1 }),
    },
    {
      id: 'weeps',
      label: 'diaphragm weeps: fuel drawn through the vacuum hose',
      weight: 1.2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, weeps: between(0.35, 1.4, s) }),
    },
  ],
  elements: () => [],
};
