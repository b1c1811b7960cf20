import { CRANKING, touch, type CheckMaker } from './check.ts';

export const coilFeedCranking: CheckMaker = (layout) => [
  {
    id: 'coil-feed-cranking',
    station: 'coil',
    label: 'Volts at the coil’s feed, cranking',
    set: 'Crank for three seconds, gearbox out of gear. Hold the maximum on the meter if you are alone.',
    touch: touch(layout, 'coil+', 'block'),
    watch: 'The meter shows the mean of points open and closed.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil+', earth: 'block' },
    state: CRANKING,
    minutes: 1.3,
    opens: [],
    cautions: ['rotating parts'],
  },
];
