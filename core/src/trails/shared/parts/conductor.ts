import { inLine, deadShort, logBetween, OPEN_OHMS, type Figures, type PartKind } from '../../../machine/part.ts';

/** Leak of sound insulation, ohms. */
const SOUND_INSULATION = { low: 1e8, high: 1e9 };

const broken = (weight: number) =>
  ({
    id: 'broken',
    label: 'broken or off',
    weight,
    byHand: true,
    repair: 'remake',
    comesWith: 'shaking',
    apply: <F extends Figures<'ohms'>>(p: F): F => ({ ...p, ohms: OPEN_OHMS }),
  }) as const;

/** A wire and its two ends: open, corroded, or chafed through to earth. */
export const wire: PartKind<'ohms' | 'earthOhms'> = {
  kind: 'wire',
  symbol: 'wire',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.01, high: 0.06 }),
      hidden: true,
    },
    { id: 'earthOhms', label: 'Insulation', dimension: 'resistance', typical: () => SOUND_INSULATION, hidden: true },
  ],
  repairs: [
    { id: 'remake', label: 'Clean and remake the joints', minutes: 12, money: 3 },
    { id: 'insulate', label: 'Replace the chafed wire', minutes: 25, money: 6 },
  ],
  faults: [
    broken(2),
    {
      id: 'corroded',
      label: 'corroded',
      weight: 2,
      repair: 'remake',
      apply: (p, s) => ({ ...p, ohms: logBetween(0.6, 200, s) }),
    },
    {
      id: 'chafed',
      label: 'chafed through to earth',
      weight: 1,
      repair: 'insulate',
      comesWith: 'shaking',
      leap: true,
      apply: (p, s) => ({ ...p, earthOhms: deadShort(s) }),
    },
  ],
  elements: (p, { id, nodes }) => [
    { type: 'resistor', id, a: nodes['a']!, b: nodes['b']!, ohms: p.ohms },
    // Bare at its middle: measured from the far end, as a chafe under a clip mostly is.
    { type: 'resistor', id: `${id}.earth`, a: nodes['b']!, b: nodes['earth'] ?? '0', ohms: p.earthOhms },
  ],
};

/** So poor that a solenoid pulls in, loses its volts to the motor and lets go again: it chatters. Ohms, of twelve volts. */
const HARDLY_HOLDS = 0.17;

/** A clamp or strap that carries the starter's current. */
export const heavyJoint: PartKind<'ohms'> = {
  kind: 'heavy joint',
  symbol: 'joint',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      // A tenth of a volt at a hundred and fifty amperes (SOURCES, charging).
      typical: () => ({ low: 0.0001, high: 0.0006 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'clean', label: 'Clean and tighten', minutes: 8, money: 0 }],
  faults: [
    {
      id: 'corroded',
      label: 'corroded or loose',
      weight: 3,
      repair: 'clean',
      comesWith: 'shaking',
      apply: (p, s, fit) => ({ ...p, ohms: logBetween(0.005, HARDLY_HOLDS, s) * (fit.volts / 12) }),
    },
    {
      id: 'off',
      leap: true,
      label: 'off, or so loose that nothing gets through',
      weight: 0.4,
      byHand: true,
      repair: 'clean',
      comesWith: 'shaking',
      apply: (p) => ({ ...p, ohms: OPEN_OHMS }),
    },
  ],
  elements: inLine,
};

/** The distributor body's way to the engine: a pigtail and the clamp. */
export const bodyEarth: PartKind<'ohms'> = {
  kind: 'body earth',
  symbol: 'joint',
  plates: [
    {
      id: 'ohms',
      label: 'Resistance',
      dimension: 'resistance',
      typical: () => ({ low: 0.005, high: 0.03 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'remake', label: 'Remake the earth lead and clean the seat', minutes: 15, money: 3 }],
  faults: [
    {
      id: 'poor',
      label: 'broken or dirty',
      weight: 2,
      repair: 'remake',
      comesWith: 'shaking',
      apply: (p, s) => ({ ...p, ohms: logBetween(0.4, 120, s) }),
    },
  ],
  elements: inLine,
};
