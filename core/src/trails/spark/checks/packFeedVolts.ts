import { CRANKING, touch, type CheckMaker } from '../../../machine/check.ts';

export const packFeedVolts: CheckMaker = (machine) => [
  {
    id: 'pack-feed',
    station: 'pack',
    label: 'Feed of the pack, cranking',
    set: 'All connected. Crank, gearbox out of gear.',
    touch: touch(machine, 'pack-in', 'pack-earth'),
    watch: 'As good as at the battery in the same moment. Read on the pack’s own earth, so that a poor one shows.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'pack-in', earth: 'pack-earth' },
    state: CRANKING,
    needs: ['pack', 'switch'],
    minutes: 1.4,
    opens: [],
    cautions: ['capacitor charge', 'rotating parts'],
  },
];
