import { fails, lookedFor, type Failing } from '../../machine/cause.ts';

export const TIMING_CAUSES: readonly Failing[] = [
  {
    of: [fails('distributor body', 'late', 'early', 'half')],
    causes: [
      lookedFor('clamp', 'Its clamp was loose', 'Try the clamp’s bolt before it is set.', 3),
      lookedFor('refitted', 'It was out, and put in by eye', 'Ask who had it apart.', 3),
    ],
  },
  {
    of: [fails('timing mark', 'slipped')],
    causes: [
      lookedFor('rubber', 'The rubber between hub and ring has let go', 'Look for bulged or cracked rubber.', 4),
    ],
  },
  {
    of: [fails('timing chain', 'worn', 'jumped')],
    causes: [lookedFor('tensioner', 'Its tensioner is worn or stuck', 'Look at it with the cover off.', 3)],
  },
  {
    of: [fails('advance weights', 'seized', 'springs')],
    causes: [lookedFor('dry', 'No oil, and rust, under the plate', 'Look for red dust.', 4)],
  },
  {
    of: [fails('vacuum advance', 'leaks', 'hose')],
    causes: [lookedFor('baked', 'Baked by the exhaust', 'Feel how near it sits.', 2)],
  },
  { of: [fails('ignition map', 'limp', 'lost')], causes: [lookedFor('damp', 'Damp in a plug', 'Look for green.', 3)] },
];
