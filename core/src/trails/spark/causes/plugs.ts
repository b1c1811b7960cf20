import { fails, lookedFor, type Failing } from '../../../machine/cause.ts';

export const plugCauses: readonly Failing[] = [
  {
    of: [fails('set of plugs', 'resistive'), fails('coil', 'wrong')],
    causes: [
      lookedFor(
        'catalogue',
        'Bought by its looks, or for another variant',
        'Read the number on it against the machine’s own list.',
        4,
      ),
      lookedFor(
        'box',
        'The right box with the wrong part in it',
        'Compare box and part; measure it before it goes in.',
        1,
      ),
    ],
  },
  {
    of: [fails('rotor', 'worn'), fails('distributor cap', 'brush')],
    causes: [
      {
        id: 'gaps-wide',
        label: 'The spark has had to jump too far for long: plug gaps burnt wide, or a lead open',
        faults: [fails('set of plugs', 'wide'), fails('spark plug', 'wide'), fails('high-tension lead', 'open')],
        look: 'Gauge every plug, measure every lead.',
        weight: 3,
      },
      lookedFor(
        'play',
        'Play in the distributor’s shaft: the rotor has run against the cap',
        'Rock the shaft; look for rubbing marks.',
        2,
      ),
    ],
  },
  {
    of: [fails('spark plug', 'bridged')],
    causes: [
      lookedFor(
        'oil',
        'Too much oil in the fuel, or of the wrong kind',
        'Ask how it is mixed; look for carbon on the piston.',
        3,
      ),
      lookedFor('cold', 'A plug too cold for how it is used', 'Read its heat range against the book.', 2),
    ],
  },
  {
    of: [fails('spark plug', 'cracked')],
    causes: [lookedFor('dropped', 'Dropped, or gapped with a lever against its nose', 'Ask who fitted it.', 3)],
  },
  {
    of: [fails('cap, rotor, leads and plugs', 'worn')],
    causes: [lookedFor('long', 'Nobody has renewed them for years', 'Ask when; look for a service sticker.', 4)],
  },
  {
    of: [fails('set of plugs', 'fouled')],
    causes: [
      {
        id: 'weak-spark',
        label: 'The spark is weak',
        faults: [
          fails('condenser', 'leaky'),
          fails('coil', 'primary-shorted', 'wrong'),
          fails('breaker points', 'burnt'),
        ],
        look: 'Spark at the coil lead.',
        weight: 3,
      },
      {
        id: 'rich',
        label: 'Flooded: too much choke, float high, needle leaking',
        faults: [],
        look: 'Smell the intake; look down the carburettor with the engine still.',
        weight: 4,
      },
    ],
  },
  {
    of: [fails('spark plug', 'fouled')],
    causes: [
      {
        id: 'oil',
        label: 'That cylinder passes oil',
        faults: [],
        look: 'Compression, dry and with a spoon of oil.',
        weight: 2,
      },
      {
        id: 'lead',
        label: 'Its lead is poor',
        faults: [fails('high-tension lead', 'open', 'leaking')],
        look: 'Measure its lead.',
        weight: 2,
      },
    ],
  },
];
