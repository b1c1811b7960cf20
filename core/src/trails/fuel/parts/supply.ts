import { between, logBetween, type Figures, type PartKind, type PlateSpec } from '../../../machine/part.ts';
import type { Fit } from '../../../schema/fit.ts';
import { drinks } from '../feeding.ts';

const hidden = <Id extends string>(
  id: Id,
  label: string,
  dimension: PlateSpec['dimension'],
  low: number,
  high: number,
): PlateSpec<Id> => ({
  id,
  label,
  dimension,
  typical: () => ({ low, high }),
  hidden: true,
});
/** Free area of a tap, hose or filter of such an engine: it gives about three times what full load drinks. */
export const freeArea = (fit: Fit) => ({ low: 3.5e-6 * (0.6 + fit.litres), high: 5e-6 * (0.6 + fit.litres) });
const area = (label: string): PlateSpec<'squareMetres'> => ({
  id: 'squareMetres',
  label,
  dimension: 'ratio',
  typical: freeArea,
  hidden: true,
});
/** How high the fuel stands over the needle: above it where it falls by its own weight, below where it is lifted. */
const headOf = (fit: Fit): { low: number; high: number } =>
  fit.fuel?.kind === 'gravity' ? { low: 0.25, high: 0.5 } : { low: -0.6, high: -0.3 };

export const tank: PartKind<'level' | 'light' | 'water' | 'headMetres' | 'cubicMetres', 'oil' | 'lean'> = {
  kind: 'fuel tank',
  symbol: 'none',
  plates: [
    { ...hidden('level', 'Share that is full', 'ratio', 0.3, 0.9), most: 0.97 },
    hidden('light', 'Light part left in the fuel', 'ratio', 0.9, 1),
    hidden('water', 'Share of water', 'ratio', 0, 0),
    { id: 'headMetres', label: 'Fuel over the needle', dimension: 'length', typical: headOf, hidden: true },
    {
      id: 'cubicMetres',
      label: 'Size of the tank',
      dimension: 'volume',
      typical: ({ litres }) => ({ low: (4 + 14 * litres) * 0.8e-3, high: (4 + 14 * litres) * 1.2e-3 }),
    },
  ],
  repairs: [
    { id: 'fill', label: 'Fill with fresh fuel', minutes: 5, money: 15 },
    { id: 'drain', label: 'Drain tank and bowls, fill with fresh fuel', minutes: 40, money: 25 },
  ],
  faults: [
    {
      id: 'empty',
      label: 'empty, or its pick-up in the air',
      weight: 3,
      repair: 'fill',
      apply: (p) => ({ ...p, level: 0 }),
    },
    {
      comesWith: 'cold',
      id: 'stale',
      label: 'fuel stale',
      weight: 3,
      repair: 'drain',
      apply: (p, s) => ({ ...p, light: between(0.62, 0.25, s) }),
    },
    {
      id: 'watered',
      label: 'water in its fuel',
      weight: 2,
      repair: 'drain',
      apply: (p, s) => ({ ...p, water: between(0.5, 1, s) }),
    },
    {
      id: 'oily',
      from: { oil: 0 },
      label: 'mixed with far too much oil',
      weight: 2,
      repair: 'drain',
      // Two or three times the oil is so much less petrol, and it does not burn.
      apply: (p, s) => ({ ...p, oil: between(0.5, 1, s), light: p.light * between(0.9, 0.8, s) }),
    },
    {
      id: 'unoiled',
      from: { lean: 0 },
      label: 'mixed with too little oil, or none',
      weight: 1,
      byHand: true,
      repair: 'drain',
      apply: (p, s) => ({ ...p, lean: between(0.5, 1, s) }),
    },
  ],
  elements: () => [],
};

/**
 * Free area through which the air for full load's fuel comes with a kilopascal: Q = C_d·A·√(2p/ρ). Square metres.
 */
export const ventNeeds = (fit: Fit): number => drinks(fit, 'full') / (0.65 * Math.sqrt((2 * 1000) / 1.2));

/** What a vent that is shut leaves open, from a quarter of what it needs to next to nothing; square metres. */
const shutVent = (fit: Fit, severity: number): number => ventNeeds(fit) * logBetween(0.25, 1e-3, severity);

export const vent: PartKind<'squareMetres'> = {
  kind: 'tank vent',
  symbol: 'none',
  plates: [hidden('squareMetres', 'Free area', 'ratio', 0.6e-6, 2e-6)],
  repairs: [{ id: 'clear', label: 'Clear the tank vent', minutes: 10, money: 0 }],
  faults: [
    {
      id: 'blocked',
      label: 'blocked: the tank cannot breathe',
      weight: 2.5,
      repair: 'clear',
      apply: (p, s, fit) => ({ ...p, squareMetres: shutVent(fit, s) }),
    },
  ],
  elements: () => [],
};

/** The line that leads a sealed tank’s vapour away, and the check valve in it that lets air back in. */
export const vapourLine: PartKind<'squareMetres', 'kinked'> = {
  kind: 'vapour line',
  symbol: 'none',
  plates: vent.plates,
  repairs: [
    { id: 'valve', label: 'Renew the check valve of the vapour line', minutes: 20, money: 14 },
    { id: 'lay', label: 'Reroute the vapour line without a kink, or renew it', minutes: 15, money: 4 },
  ],
  faults: [
    {
      id: 'stuck',
      label: 'check valve stuck, the tank cannot breathe',
      weight: 1.8,
      repair: 'valve',
      apply: (p, s, fit) => ({ ...p, squareMetres: shutVent(fit, s) }),
    },
    {
      id: 'kinked',
      label: 'kinked or squashed: the tank cannot breathe',
      weight: 1,
      byHand: true,
      repair: 'lay',
      apply: (p, s, fit) => ({ ...p, squareMetres: shutVent(fit, s), kinked: 1 }),
    },
  ],
  elements: () => [],
};

export const blocked = (weight: number, repair: string, label = 'blocked') => ({
  id: 'blocked',
  label,
  weight,
  repair,
  apply: <F extends Figures<'squareMetres'>>(p: F, s: number): F => ({
    ...p,
    squareMetres: p.squareMetres * logBetween(0.06, 0.002, s),
  }),
});

/** The gauze on the pick-up in the tank. */
export const strainer: PartKind<'squareMetres'> = {
  kind: 'tank strainer',
  symbol: 'none',
  // A gauze as wide as a thumb: it takes next to nothing of the way.
  plates: [
    {
      ...area('Free area'),
      typical: (fit) => ({ low: 3 * freeArea(fit).low, high: 3 * freeArea(fit).high }),
    },
  ],
  repairs: [{ id: 'clean', label: 'Clean the tank and the tank strainer', minutes: 40, money: 2 }],
  faults: [blocked(1.2, 'clean')],
  elements: () => [],
};

export const tap: PartKind<'squareMetres'> = {
  kind: 'fuel tap',
  symbol: 'none',
  plates: [area('Free area')],
  repairs: [{ id: 'clean', label: 'Clean tap and strainer', minutes: 25, money: 2 }],
  faults: [blocked(2, 'clean', 'shut, or its strainer blocked')],
  elements: () => [],
};
export const line: PartKind<'squareMetres' | 'airShare', 'vapour'> = {
  kind: 'fuel line',
  symbol: 'none',
  plates: [area('Free area'), hidden('airShare', 'Share of air that it sucks', 'ratio', 0, 0)],
  repairs: [
    { id: 'renew', label: 'Renew the fuel hose and its clamps', minutes: 25, money: 12 },
    { id: 'reroute', label: 'Reroute the fuel hose away from the heat', minutes: 30, money: 8 },
  ],
  faults: [
    blocked(1.5, 'renew', 'kinked, collapsed or swollen shut'),
    {
      id: 'air',
      label: 'sucks air',
      weight: 2,
      repair: 'renew',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, airShare: between(0.6, 0.95, s) }),
    },
    {
      id: 'vapour',
      label: 'lies too near the heat: vapour in it',
      weight: 1.2,
      repair: 'reroute',
      comesWith: 'heat',
      never: 'without',
      apply: (p, s) => ({ ...p, airShare: between(0.55, 0.9, s), vapour: 1 }),
    },
  ],
  elements: () => [],
};
export const filter: PartKind<'squareMetres'> = {
  kind: 'fuel filter',
  symbol: 'none',
  plates: [area('Free area')],
  repairs: [{ id: 'renew', label: 'Renew the fuel filter', minutes: 10, money: 6 }],
  faults: [blocked(2.5, 'renew')],
  elements: () => [],
};
export const bulb: PartKind<'squareMetres' | 'holds'> = {
  kind: 'primer bulb',
  symbol: 'none',
  plates: [area('Free area'), hidden('holds', 'Whether its valves hold', 'ratio', 1, 1)],
  repairs: [{ id: 'renew', label: 'Renew the primer bulb', minutes: 12, money: 18 }],
  faults: [
    blocked(1, 'renew', 'valve stuck shut'),
    {
      id: 'leaks',
      label: 'valves leak back',
      weight: 1.5,
      repair: 'renew',
      // What stood in the line runs back to the tank: it has to be lifted anew.
      apply: (p, s) => ({ ...p, holds: 0, squareMetres: p.squareMetres * between(0.05, 0.025, s) }),
    },
  ],
  elements: () => [],
};
