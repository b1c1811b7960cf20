import { hasPart, loaded, touch, type CheckMaker } from './check.ts';

export const ballastVolts: CheckMaker = (layout) =>
  hasPart(layout, 'ballast')
    ? [
        {
          id: 'ballast-volts',
          station: 'coil-feed',
          label: 'Volts into the ballast',
          ...loaded(layout),
          touch: touch(layout, 'ballast-in', 'block'),
          watch: 'Read with the current flowing.',
          instrument: 'voltmeter',
          probe: { kind: 'across', live: 'ballast-in', earth: 'block' },
          minutes: 1.2,
          opens: [],
        },
      ]
    : [];
