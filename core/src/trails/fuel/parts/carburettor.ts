import { seatOver } from '../flooding.ts';
import { between, logBetween, type PartKind, type PlateSpec } from '../../../machine/part.ts';

export const hidden = <Id extends string>(id: Id, label: string, low: number, high: number): PlateSpec<Id> => ({
  id,
  label,
  dimension: 'ratio',
  typical: () => ({ low, high }),
  hidden: true,
});
const clean = { id: 'clean', label: 'Strip and clean the carburettor', minutes: 60, money: 12 };

export const needle: PartKind<'squareMetres' | 'leakSquareMetres'> = {
  kind: 'needle and seat',
  symbol: 'none',
  plates: [
    {
      id: 'squareMetres',
      label: 'Free area, open',
      dimension: 'ratio',
      typical: ({ litres }) => ({ low: 2.6e-6 * (0.5 + litres), high: 3.4e-6 * (0.5 + litres) }),
      hidden: true,
    },
    hidden('leakSquareMetres', 'What it lets pass, shut', 1e-13, 1e-12),
  ],
  repairs: [{ id: 'renew', label: 'Clean or renew needle and seat', minutes: 45, money: 12 }],
  faults: [
    {
      id: 'shut',
      label: 'stuck shut',
      weight: 2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, squareMetres: p.squareMetres * logBetween(0.02, 1e-4, s) }),
    },
    {
      id: 'leaks',
      label: 'leaking: dirt on it, or worn',
      weight: 3,
      repair: 'renew',
      comesWith: 'shaking',
      apply: (p, s, fit) => ({ ...p, leakSquareMetres: logBetween(3.5e-8, 5e-7, s) * seatOver(fit) }),
    },
  ],
  elements: () => [],
};
export const float: PartKind<'high', 'sinks' | 'boils' | 'gone'> = {
  kind: 'float',
  symbol: 'none',
  plates: [hidden('high', 'Level over what it should be', -0.04, 0.04)],
  repairs: [
    { id: 'renew', label: 'Renew the float', minutes: 45, money: 14 },
    { id: 'set', label: 'Set the float level', minutes: 40, money: 0 },
    { id: 'shield', label: 'Shield the carburettor from heat; fuel of the season', minutes: 40, money: 15 },
  ],
  faults: [
    {
      id: 'heavy',
      label: 'holed or soaked with fuel, sinks',
      weight: 1.5,
      repair: 'renew',
      apply: (p, s) => ({ ...p, high: between(0.15, 0.9, s), sinks: 1 }),
    },
    {
      id: 'low',
      label: 'set too low',
      weight: 1,
      repair: 'set',
      apply: (p, s) => ({ ...p, high: between(-0.3, -0.5, s) }),
    },
    {
      // Petrol boils from 35–40 °C; a bowl over a hot manifold spills into it (SOURCES, fuel).
      id: 'boils',
      label: 'fuel boils over when hot',
      weight: 1,
      repair: 'shield',
      comesWith: 'heat',
      never: 'without',
      apply: (p, s) => ({ ...p, high: between(0.6, 0.9, s), boils: 1 }),
    },
    {
      // What has boiled away is not there: the bowl is low until the pump has filled it again.
      id: 'boiled-dry',
      from: { gone: 0 },
      label: 'fuel boils away when hot',
      weight: 0.7,
      repair: 'shield',
      comesWith: 'heat',
      never: 'without',
      apply: (p, s) => ({ ...p, gone: between(0.4, 0.9, s), boils: 1 }),
    },
  ],
  elements: () => [],
};
const jet = (kind: string, weight: number): PartKind<'blocked'> => ({
  kind,
  symbol: 'none',
  plates: [hidden('blocked', 'Share that is blocked', 0, 0.03)],
  repairs: [clean],
  faults: [
    {
      id: 'blocked',
      label: 'blocked',
      weight,
      repair: 'clean',
      apply: (p, s) => ({ ...p, blocked: between(0.45, 0.98, s) }),
    },
  ],
  elements: () => [],
});
export const idleJet = jet('idle jet', 3);
export const mainJet = jet('main jet', 1.5);

export const choke: PartKind<'closes' | 'opens'> = {
  kind: 'choke',
  symbol: 'none',
  plates: [
    hidden('closes', 'Whether it closes for a cold start', 1, 1),
    hidden('opens', 'Whether it opens again', 1, 1),
  ],
  repairs: [{ id: 'free', label: 'Free and set the choke or enricher', minutes: 25, money: 3 }],
  faults: [
    {
      comesWith: 'cold',
      id: 'open',
      label: 'stays open: too weak for a cold start',
      weight: 1.5,
      repair: 'free',
      apply: (p, s) => ({ ...p, closes: between(0.35, 0, s) }),
    },
    {
      id: 'shut',
      label: 'stays shut: too rich once warm',
      weight: 2,
      repair: 'free',
      apply: (p, s) => ({ ...p, opens: between(0.35, 0, s) }),
    },
  ],
  elements: () => [],
};

/** Where the air over the fuel in the bowl comes in: shut, fuel neither flows in freely nor out. */
export const bowlVent: PartKind<'openShare'> = {
  kind: 'bowl vent',
  symbol: 'none',
  plates: [hidden('openShare', 'Share that is open', 0.9, 1)],
  repairs: [{ id: 'clear', label: 'Clear the float bowl vent', minutes: 12, money: 0 }],
  faults: [
    {
      id: 'blocked',
      label: 'blocked: the bowl cannot breathe',
      weight: 0.7,
      repair: 'clear',
      apply: (p, s) => ({ ...p, openShare: between(0.45, 0.03, s) }),
    },
  ],
  elements: () => [],
};

export const accelerator: PartKind<'squirts'> = {
  kind: 'accelerator pump',
  symbol: 'none',
  plates: [hidden('squirts', 'Whether it squirts', 1, 1)],
  repairs: [{ id: 'renew', label: 'Renew the accelerator pump diaphragm or leather', minutes: 30, money: 9 }],
  faults: [
    {
      id: 'dead',
      label: 'dried out or torn',
      weight: 2,
      repair: 'renew',
      apply: (p, s) => ({ ...p, squirts: between(0.4, 0, s) }),
    },
  ],
  elements: () => [],
};
