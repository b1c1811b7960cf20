import { between, type PartKind } from '../../../machine/part.ts';

import { across } from './flywheel.ts';

const rpm = (low: number, high: number) => () => ({ low, high });

/** Magnet that turns inside a magneto of its own. */
export const magnetRotor: PartKind<'strength' | 'acrossMetres' | 'crankRpm'> = {
  kind: 'magnet rotor',
  symbol: 'none',
  plates: [
    {
      id: 'strength',
      label: 'Strength of the magnets, against new',
      dimension: 'ratio',
      typical: () => ({ low: 0.92, high: 1.03 }),
      hidden: true,
    },
    across(0.044, 0.05),
    { id: 'crankRpm', label: 'Cranking speed', dimension: 'ratio', typical: rpm(70, 110), hidden: true },
  ],
  repairs: [{ id: 'charge', label: 'Have the magnets charged anew', minutes: 60, money: 50 }],
  faults: [
    {
      id: 'weak',
      label: 'lost its magnetism',
      weight: 1.5,
      repair: 'charge',
      apply: (p, s) => ({ ...p, strength: between(0.45, 0.2, s) }),
    },
  ],
  elements: () => [],
};

/** Spring and pawls that hold a slow magneto back and snap it through each firing. */
export const impulseCoupling: PartKind<'snapRpm' | 'stuck', 'lagDegrees'> = {
  kind: 'impulse coupling',
  symbol: 'none',
  plates: [
    { id: 'snapRpm', label: 'Speed of its snap', dimension: 'ratio', typical: rpm(270, 340), hidden: true },
    { id: 'stuck', label: 'Does not trip', dimension: 'ratio', typical: () => ({ low: 0, high: 0 }), hidden: true },
  ],
  repairs: [{ id: 'free', label: 'Free and oil the impulse coupling, or renew its spring', minutes: 40, money: 18 }],
  faults: [
    {
      id: 'stuck',
      label: 'gummed up or spring broken, does not snap',
      weight: 3,
      repair: 'free',
      apply: (p) => ({ ...p, stuck: 1 }),
    },
    {
      // Its lag is 15–30° of the crank: what holds the spark back at a start holds it back always (judgement).
      id: 'stays',
      leap: true,
      label: 'does not let go once it runs: the spark stays late',
      weight: 0.6,
      repair: 'free',
      apply: (p, s) => ({ ...p, lagDegrees: between(15, 30, s) }),
    },
  ],
  elements: () => [],
};

/** How the magneto stands to the engine: one tooth of its drive is some thirty degrees of the crank. */
export const magnetoDrive: PartKind<'slipDegrees'> = {
  kind: 'magneto drive',
  symbol: 'none',
  plates: [
    {
      id: 'slipDegrees',
      label: 'Off its mark',
      dimension: 'angle',
      typical: () => ({ low: 0, high: 0 }),
      hidden: true,
    },
  ],
  repairs: [{ id: 'time', label: 'Time the magneto to the engine', minutes: 35, money: 0 }],
  faults: [
    {
      id: 'slipped',
      label: 'a tooth or more off its mark',
      weight: 1.5,
      repair: 'time',
      apply: (p, s) => ({ ...p, slipDegrees: between(32, 90, s) }),
    },
  ],
  elements: () => [],
};
