import { hasPart, KEY_ON_CLOSED, touch, type CheckMaker } from '../../../machine/check.ts';

export const coilFeedClosed: CheckMaker = (machine) => [
  {
    id: 'coil-feed-closed',
    station: 'coil',
    label: 'Volts at the coil’s feed, points closed',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(machine, 'coil+', 'block'),
    watch: hasPart(machine, 'ballast')
      ? 'Behind the ballast this is well below the battery.'
      : 'Close to what the battery has: nothing stands between.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil+', earth: 'block' },
    state: KEY_ON_CLOSED,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
