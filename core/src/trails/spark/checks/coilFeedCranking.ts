import { CRANKING, hasHeldPoints, touch, type CheckMaker } from '../../../machine/check.ts';

export const coilFeedCranking: CheckMaker = (machine) => [
  {
    id: 'coil-feed-cranking',
    station: 'coil',
    label: 'Volts at the coil’s feed, cranking',
    set: 'Crank for three seconds, gearbox out of gear. Hold the minimum on the meter if you are alone.',
    touch: touch(machine, 'coil+', 'block'),
    watch: `The meter shows the mean of ${hasHeldPoints(machine) ? 'points open and closed' : 'coil on and off'}.`,
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'coil+', earth: 'block' },
    state: CRANKING,
    minutes: 1.3,
    opens: [],
    cautions: ['rotating parts'],
  },
];
