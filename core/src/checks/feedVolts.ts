import { KEY_ON_CLOSED, touch, type CheckMaker } from './check.ts';

export const feedVolts: CheckMaker = (layout) => [
  {
    id: 'feed-volts',
    station: 'feed',
    label: layout.fit.fused ? 'Volts at the feed side of the fuse' : 'Volts at the feed terminal of the switch',
    set: 'Key on, points closed (bump the engine until they are).',
    touch: touch(layout, 'fuse-in', 'block'),
    watch: 'Read with the current flowing, so that a poor joint shows.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'fuse-in', earth: 'block' },
    state: KEY_ON_CLOSED,
    minutes: 1.3,
    opens: layout.fit.fused ? [] : ['behind the dash'],
    cautions: [],
  },
];
