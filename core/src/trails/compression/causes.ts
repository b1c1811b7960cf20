import { fails, lookedFor, type Failing } from '../../machine/cause.ts';

const HOT = lookedFor('hot', 'It ran hot', 'Is there water, does the pump turn, are the fins clean?', 3);

export const COMPRESSION_CAUSES: readonly Failing[] = [
  {
    of: [fails('exhaust valve', 'burnt')],
    causes: [
      {
        id: 'weak',
        label: 'It ran weak',
        faults: [
          fails('main jet', 'blocked'),
          fails('intake joint', 'leaks'),
          fails('vacuum hose', 'off'),
          fails('idle mixture', 'weak'),
        ],
        look: 'Look at the other plugs: white tips ran weak.',
        weight: 3,
      },
      {
        id: 'late',
        label: 'It ran with its spark too late',
        faults: [fails('distributor body', 'late'), fails('advance weights', 'seized'), fails('timing chain', 'worn')],
        look: 'Check the timing with a light.',
        weight: 2,
      },
      {
        id: 'tight',
        label: 'Its clearance closed up',
        faults: [fails('exhaust valve', 'tight')],
        look: 'Measure the clearances of all valves before the head comes off.',
        weight: 3,
      },
    ],
  },
  {
    of: [fails('exhaust valve', 'tight')],
    causes: [lookedFor('sunk', 'Its seat has sunk', 'Set it, measure it again in a week of running.', 4)],
  },
  {
    of: [fails('inlet valve', 'sticks')],
    causes: [
      lookedFor('stood', 'It stood for long with stale fuel', 'Smell the tank; look for varnish on the stem.', 4),
    ],
  },
  {
    of: [fails('inlet valve', 'leaks')],
    causes: [lookedFor('carbon', 'Oil past the guides has built up on it', 'Look into the port: thick and black.', 3)],
  },
  {
    of: [fails('head gasket', 'out', 'water', 'between')],
    causes: [HOT, lookedFor('warped', 'Head or block is not flat', 'Lay a straightedge across both faces.', 3)],
  },
  {
    of: [fails('bores', 'worn'), fails('piston rings', 'worn')],
    causes: [
      {
        id: 'dust',
        label: 'It breathed dust',
        faults: [],
        look: 'Filter and its seat: is there a track of dust past it?',
        weight: 2,
      },
      lookedFor('washed', 'Fuel washed the oil off', 'Smell the oil: petrol?', 2),
      HOT,
    ],
  },
  {
    of: [fails('crankcase', 'leaks')],
    causes: [
      lookedFor('bearing', 'The shaft runs out', 'Rock the flywheel: play that can be felt wears the new seal.', 3),
    ],
  },
  {
    of: [fails('combustion chambers', 'carbon')],
    causes: [
      lookedFor('short', 'Short trips, never hot', 'Ask how it is used.', 3),
      {
        id: 'oil',
        label: 'Oil comes up',
        faults: [fails('bores', 'worn'), fails('piston rings', 'worn')],
        look: 'Plugs: are they oily?',
        weight: 2,
      },
      {
        id: 'rich',
        label: 'It ran rich',
        faults: [fails('choke', 'shut'), fails('idle mixture', 'rich'), fails('float', 'heavy')],
        look: 'Plugs: are they black?',
        weight: 2,
      },
    ],
  },
  {
    of: [fails('exhaust port', 'carbon')],
    causes: [lookedFor('oil', 'Too much oil, or the wrong one, in the fuel', 'Ask how it is mixed.', 4)],
  },
  {
    of: [fails('reed valve', 'chipped')],
    causes: [lookedFor('backfire', 'It spat back through the carburettor', 'Ask; look at the timing.', 2)],
  },
];
