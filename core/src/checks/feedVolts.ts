import { loaded, touch, type CheckMaker } from './check.ts';

export const feedVolts: CheckMaker = (layout) => [
  {
    id: 'feed-volts',
    station: 'feed',
    label: layout.fit.fused ? 'Volts at the feed side of the fuse' : 'Volts at the feed terminal of the switch',
    ...loaded(layout),
    touch: touch(layout, 'fuse-in', 'block'),
    watch: 'Read with the current flowing, so that a poor joint shows.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'fuse-in', earth: 'block' },
    minutes: 1.3,
    opens: layout.fit.fused ? [] : ['behind the dash'],
  },
];
