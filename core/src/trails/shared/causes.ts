import { fails, lookedFor, type CauseSpec, type Failing } from '../../machine/cause.ts';

export const staysOn: CauseSpec = {
  id: 'stays-on',
  label: 'Its feed stays on with the key off',
  faults: [fails('ignition switch', 'stays-on')],
  look: 'Volts at the feed with the key off.',
  weight: 1,
};
/** All that keeps a battery from being filled. */
const noCharge = [
  fails('belt', 'slack', 'gone'),
  fails('alternator', 'brushes', 'field-open', 'phase', 'diode-open', 'exciter', 'diode-shorted'),
  fails('generator', 'brushes', 'field-open', 'no-residual', 'shorted'),
  fails('stator, one phase', 'open', 'earthed', 'turns', 'weak'),
  fails('stator, three phases', 'open', 'earthed', 'turns', 'weak'),
  fails('charge wire', 'corroded', 'broken'),
  fails('regulator', 'low', 'dead'),
  fails('regulator box', 'low', 'dead'),
  fails('regulator-rectifier', 'low', 'dead'),
  fails('cut-out', 'open'),
  fails('charge lamp', 'blown', 'swapped', 'wire'),
  fails('excitation resistor', 'wire'),
];
const drains = [
  fails('standing drain', 'drain'),
  fails('cut-out', 'welded'),
  fails('regulator-rectifier', 'leaks'),
  fails('alternator', 'diode-shorted', 'diode-leaks'),
];
const boils = [
  fails('regulator', 'high', 'sense'),
  fails('regulator box', 'high'),
  fails('regulator-rectifier', 'high'),
  fails('regulator earth', 'poor'),
];

/** What wears the parts that several trails share. */
export const SHARED_CAUSES: readonly Failing[] = [
  {
    of: [fails('battery isolator', 'burnt')],
    causes: [
      lookedFor('light', 'Made for less than the starter draws', 'Read its rating; compare with the starter’s.', 3),
      lookedFor('damp', 'Damp has got in', 'Look for green inside.', 2),
    ],
  },
  {
    of: [fails('wire', 'broken', 'corroded')],
    causes: [
      lookedFor(
        'strained',
        'It is pulled tight, or shakes free of its clips',
        'Follow it with the engine rocked by hand; look for missing clips.',
        3,
      ),
      lookedFor(
        'crimp',
        'A terminal crimped or twisted by somebody, not sealed',
        'Pull at each end; look for green copper and tape.',
        3,
      ),
      lookedFor('heat', 'It lies where it is hot', 'Feel for stiff, browned insulation near the exhaust.', 1),
    ],
  },
  {
    of: [fails('battery', 'flat')],
    causes: [
      staysOn,
      {
        id: 'no-charge',
        label: 'It is not being charged',
        faults: noCharge,
        look: 'Volts at the battery at a fast idle: see the charge trail.',
        weight: 5,
      },
      {
        id: 'drain',
        label: 'Something drains it standing',
        faults: drains,
        look: 'Earth lead off, meter in series, everything off.',
        weight: 3,
      },
    ],
  },
  {
    of: [fails('battery', 'tired', 'cell')],
    causes: [
      {
        id: 'overcharge',
        label: 'Boiled dry by overcharging',
        faults: boils,
        look: 'Look at the level in every cell; volts at a fast idle.',
        weight: 2,
      },
      lookedFor('shaken', 'Shaken: its clamp is loose or gone', 'Try the battery in its tray by hand.', 2),
    ],
  },
  {
    of: [fails('battery', 'sulphated')],
    causes: [
      lookedFor('stood-flat', 'It stood flat for months', 'Ask the owner.', 4),
      {
        id: 'half-full',
        label: 'It was never filled',
        faults: noCharge,
        look: 'Volts at the battery at a fast idle: see the charge trail.',
        weight: 3,
      },
    ],
  },
  {
    of: [fails('fuse', 'blown')],
    causes: [
      {
        id: 'short',
        label: 'A short after the fuse',
        faults: [
          { ...fails('wire', 'chafed'), part: 'coil-feed' },
          fails('suppression capacitor', 'shorted'),
          fails('module feed', 'behind'),
          fails('sensor', 'shorted'),
        ],
        look: 'Measure the feed wire to earth with the fuse out, before a new one goes in.',
        weight: 5,
      },
      lookedFor('wrong-rating', 'The fuse was too small', 'Read its rating against the plate value.', 2),
    ],
  },
  {
    of: [fails('ignition switch', 'dead', 'worn', 'start-dead')],
    causes: [
      lookedFor(
        'overloaded',
        'More is wired to it than it was made for',
        'Count what was added behind it; feel it for heat.',
        2,
      ),
    ],
  },
  {
    of: [fails('joints of a feed', 'weathered')],
    causes: [
      lookedFor('salt', 'Salt, damp or years without grease', 'Look at the other joints of the machine: green too?', 4),
      lookedFor('washed', 'Washed with pressure', 'Ask the owner.', 1),
    ],
  },
  {
    of: [fails('heavy joint', 'corroded')],
    causes: [
      lookedFor('acid', 'Acid creeps up to it', 'Look for white fur; look at the level and at the volts at speed.', 3),
      lookedFor('never-cleaned', 'Paint, rust or no grease under it', 'Look at both faces.', 3),
    ],
  },
];
