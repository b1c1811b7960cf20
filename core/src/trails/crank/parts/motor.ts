import { between, logBetween, OPEN_OHMS, type PartKind } from '../../../machine/part.ts';
import { about, startingOf } from '../starting.ts';
import { perHundredAmps } from './cable.ts';

/** Series-wound starter. What it must turn is put into its figures from engine and drive before anyone measures. */
export const starterMotor: PartKind<
  'ohms' | 'voltsPerRadian' | 'saturationAmps',
  'worn' | 'braked' | 'stillTorque' | 'torquePerRadian'
> = {
  kind: 'starter motor',
  symbol: 'motor',
  plates: [
    {
      id: 'ohms',
      label: 'Windings and brushes',
      dimension: 'resistance',
      typical: (fit) => about(startingOf(fit).ohms),
      hidden: true,
    },
    {
      id: 'voltsPerRadian',
      label: 'Volts for each radian a second',
      dimension: 'voltage',
      typical: (fit) => about(startingOf(fit).voltsPerRadian, 0.06),
      hidden: true,
    },
    {
      id: 'saturationAmps',
      label: 'Current of half the flux',
      dimension: 'current',
      typical: (fit) => about(startingOf(fit).saturationAmps),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'brushes', label: 'Renew the starter brushes, clean its commutator', minutes: 75, money: 18 },
    { id: 'replace', label: 'Replace the starter', minutes: 60, money: 160 },
  ],
  faults: [
    {
      id: 'brushes',
      label: 'brushes worn',
      weight: 3,
      repair: 'brushes',
      comesWith: 'shaking',
      apply: (p, s, fit) => ({ ...p, ohms: p.ohms + logBetween(0.03, 0.4, s) * perHundredAmps(fit), worn: 1 }),
    },
    {
      id: 'open',
      label: 'brushes not touching the commutator, or field winding open',
      weight: 2,
      repair: 'brushes',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS, worn: 1 }),
    },
    {
      id: 'shorted',
      from: { braked: 1 },
      label: 'windings shorted, it draws double the current and turns slowly',
      weight: 1.2,
      repair: 'replace',
      comesWith: 'heat',
      // Turns that are shorted brake it like a magnet, and their share of the flux is lost.
      apply: (p, s) => ({
        ...p,
        voltsPerRadian: p.voltsPerRadian * between(0.9, 0.75, s),
        ohms: p.ohms * between(0.85, 0.6, s),
        braked: between(4, 9, s),
      }),
    },
  ],
  elements: (p, { id, nodes }) => [
    p.ohms >= OPEN_OHMS
      ? { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: OPEN_OHMS }
      : {
          type: 'motor',
          id,
          a: nodes['a']!,
          b: nodes['b']!,
          ohms: p.ohms,
          voltsPerRadian: p.voltsPerRadian,
          saturationAmps: p.saturationAmps,
          stillTorque: p.stillTorque ?? 0,
          torquePerRadian: p.torquePerRadian ?? 1,
        },
  ],
};

/** Pinion, clutch and ring gear. Nothing of it carries current. */
export const starterDrive: PartKind<'grip' | 'gone', 'jammed'> = {
  kind: 'starter drive',
  symbol: 'none',
  plates: [
    {
      id: 'grip',
      label: 'What the clutch carries over',
      dimension: 'ratio',
      typical: () => ({ low: 1, high: 1 }),
      hidden: true,
    },
    {
      id: 'gone',
      label: 'Share of teeth gone',
      dimension: 'ratio',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'replace', label: 'Replace the starter drive', minutes: 80, money: 35 },
    { id: 'ring', label: 'Turn or replace the ring gear', minutes: 240, money: 60 },
    { id: 'part', label: 'Free the jammed pinion, look at its teeth, tighten the starter', minutes: 35, money: 2 },
  ],
  faults: [
    {
      id: 'slips',
      label: 'slips: the starter spins and the engine does not',
      weight: 1.5,
      repair: 'replace',
      comesWith: 'heat',
      apply: (p, s) => ({ ...p, grip: between(0.12, 0.03, s) }),
    },
    {
      id: 'teeth',
      label: 'teeth of the ring gear are gone',
      weight: 1,
      repair: 'ring',
      apply: (p, s) => ({ ...p, gone: between(0.35, 0.9, s) }),
    },
    {
      id: 'jammed',
      leap: true,
      label: 'pinion jammed in the ring',
      weight: 0.8,
      repair: 'part',
      apply: (p) => ({ ...p, jammed: 1 }),
    },
  ],
  elements: () => [],
};

/** The engine as the starter feels it. */
export const crankedEngine: PartKind<'stillTorque' | 'torquePerRadian', 'locked' | 'stiff' | 'thick'> = {
  kind: 'engine to be turned',
  symbol: 'none',
  plates: [
    {
      id: 'stillTorque',
      label: 'Torque to push it over',
      dimension: 'ratio',
      typical: (fit) => about(startingOf(fit).stillTorque, 0.12),
      hidden: true,
    },
    {
      id: 'torquePerRadian',
      label: 'Drag of its oil',
      dimension: 'ratio',
      typical: (fit) => about(startingOf(fit).torquePerRadian, 0.2),
      hidden: true,
    },
  ],
  repairs: [
    { id: 'drain', label: 'Plugs out, drain the cylinder, find where it came from', minutes: 90, money: 10 },
    { id: 'free', label: 'Free the engine', minutes: 300, money: 60 },
    { id: 'oil', label: 'Change to the right oil', minutes: 25, money: 30 },
  ],
  faults: [
    {
      id: 'locked',
      label: 'locked by water or fuel in a cylinder',
      weight: 0.7,
      repair: 'drain',
      apply: (p) => ({ ...p, stillTorque: p.stillTorque * 60, locked: 1 }),
    },
    {
      id: 'stiff',
      label: 'stiff: rust, a tight bearing, something it drives',
      weight: 1,
      repair: 'free',
      from: { stiff: 0 },
      apply: (p, s) => ({ ...p, stillTorque: p.stillTorque * between(2.2, 5, s), stiff: between(0.6, 1, s) }),
    },
    {
      comesWith: 'cold',
      id: 'thick',
      label: 'dragged by oil too thick for the cold',
      weight: 0.8,
      repair: 'oil',
      from: { thick: 0 },
      apply: (p, s) => ({ ...p, torquePerRadian: p.torquePerRadian * between(3, 6, s), thick: between(0.6, 1, s) }),
    },
  ],
  elements: () => [],
};
