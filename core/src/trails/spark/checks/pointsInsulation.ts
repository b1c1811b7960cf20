import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const pointsInsulation: CheckMaker = () => [
  {
    id: 'points-insulation',
    station: 'points',
    label: 'Moving contact to earth, points open',
    set: 'Key off, points open, the wire and the condenser unhooked from the moving contact.',
    touch: 'Red to the moving contact’s spring, black to the base plate.',
    watch: 'OL when its insulating washers are all there.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'points', black: 'plate', bench: 'points' },
    state: KEY_OFF,
    minutes: 0.8,
    opens: ['cap off', 'condenser unhooked'],
    cautions: [],
  },
];
