import { hasPart, KEY_ON_CLOSED, touch, type CheckMaker } from './check.ts';

export const fuseVolts: CheckMaker = (layout) =>
  hasPart(layout, 'fuse')
    ? [
        {
          id: 'fuse-volts',
          station: 'fuse',
          label: 'Volts at the far side of the fuse',
          set: 'Key on, points closed (bump the engine until they are).',
          touch: touch(layout, 'switch-in', 'block'),
          watch: 'Both ends of the fuse read alike when it is sound.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'switch-in', earth: 'block' },
          state: KEY_ON_CLOSED,
          minutes: 1,
          opens: [],
          cautions: [],
        },
      ]
    : [];
