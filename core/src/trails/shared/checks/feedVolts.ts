import { loaded, touch, type CheckMaker } from '../../../machine/check.ts';

export const feedVolts: CheckMaker = (machine) => [
  {
    id: 'feed-volts',
    station: 'feed',
    label: machine.fit.fused ? 'Volts at the feed side of the fuse' : 'Volts at the feed terminal of the switch',
    ...loaded(machine),
    touch: touch(machine, 'fuse-in', 'block'),
    watch: 'Read with the current flowing, so that a poor joint shows.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'fuse-in', earth: 'block' },
    minutes: 1.3,
    opens: machine.fit.fused ? [] : ['behind the dash'],
  },
];
