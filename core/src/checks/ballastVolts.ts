import { hasPart, KEY_ON_CLOSED, touch, type CheckMaker } from './check.ts';

export const ballastVolts: CheckMaker = (layout) =>
  hasPart(layout, 'ballast')
    ? [
        {
          id: 'ballast-volts',
          station: 'coil-feed',
          label: 'Volts into the ballast',
          set: 'Key on, points closed (bump the engine until they are).',
          touch: touch(layout, 'ballast-in', 'block'),
          watch: 'Read with the current flowing.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'ballast-in', earth: 'block' },
          state: KEY_ON_CLOSED,
          minutes: 1.2,
          opens: [],
          cautions: [],
        },
      ]
    : [];
