import { fails, lookedFor, type Failing } from '../../machine/cause.ts';

export const AIR_CAUSES: readonly Failing[] = [
  {
    of: [fails('air filter', 'blocked')],
    causes: [
      {
        ...lookedFor('oiled', 'Oil from the crankcase breather', 'Look for oil in the housing.', 2),
        faults: [fails('crankcase valve', 'blocked')],
      },
    ],
  },
  {
    of: [fails('intake joint', 'leaks')],
    causes: [lookedFor('bent', 'Flanges bent by an overtightened nut', 'Lay a straightedge across.', 3)],
  },
  {
    of: [fails('crankcase valve', 'open', 'blocked'), fails('purge valve', 'open')],
    causes: [lookedFor('gummed', 'Gummed up by oil or vapour', 'Shake it; wash it and shake it again.', 3)],
  },
  {
    of: [fails('governor', 'binds')],
    causes: [lookedFor('dry', 'Dirt and dried grease in its joints', 'Work each joint by hand.', 3)],
  },
  {
    of: [fails('governor', 'slack-spring')],
    causes: [
      lookedFor('hole', 'Hooked into the wrong hole by somebody before', 'Look for fresh marks; see the book.', 3),
    ],
  },
  {
    of: [fails('throttle linkage', 'out')],
    causes: [
      lookedFor('worn', 'Worn ends of the linkage', 'Move each throttle alone: does the other follow at once?', 3),
    ],
  },
  { of: [fails('vacuum hose', 'off')], causes: [lookedFor('baked', 'Hardened by heat', 'Bend it: it cracks.', 3)] },
  {
    of: [fails('throttle stop', 'shut', 'open'), fails('idle mixture', 'weak', 'rich')],
    causes: [
      lookedFor(
        'tried',
        'Somebody tried to cure something else with it',
        'Look for fresh marks on the screws; trace what they were after.',
        4,
      ),
    ],
  },
  {
    of: [fails('exhaust', 'blocked')],
    causes: [lookedFor('nest', 'A nest, or baffles that rusted loose', 'Tap it; look in with a lamp.', 3)],
  },
];
