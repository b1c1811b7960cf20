import { hasPart, KEY_OFF, type CheckMaker } from './check.ts';

export const feedToEarth: CheckMaker = (layout) =>
  hasPart(layout, 'fuse')
    ? [
        {
          id: 'feed-to-earth',
          station: 'coil-feed',
          label: 'Feed wire to earth, ohms',
          set: 'Key off, fuse out, feed wire off the coil.',
          touch: 'Red to the switch terminal that feeds the coil, black to the engine block.',
          watch: 'The warning lamp alone should be left: tens of ohms cold. Near nothing is a short.',
          instrument: 'ohmmeter',
          probe: { kind: 'ohms', red: 'switch-out', black: 'block' },
          state: { ...KEY_OFF, unplugged: ['fuse', 'coil', 'bypass'] },
          minutes: 2.5,
          opens: [],
          cautions: [],
        },
      ]
    : [];
