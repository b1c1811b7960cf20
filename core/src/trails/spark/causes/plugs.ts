import { fails, lookedFor, type Failing } from '../../../machine/cause.ts';

export const plugCauses: readonly Failing[] = [
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
