import { KEY_ON_CLOSED, touch, type CheckMaker } from '../../../machine/check.ts';

export const coilFeedClosed: CheckMaker = (machine) => [
  {
    id: 'coil-feed-closed',
    station: 'coil',
    label: 'Volts at the coil’s feed, points closed',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(machine, 'coil+', 'block'),
    watch: 'Behind a ballast this is well below the battery; without one it is close to it.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil+', earth: 'block' },
    state: KEY_ON_CLOSED,
    minutes: 1.2,
    opens: [],
    cautions: [],
  },
];
