import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const condenserInsulation: CheckMaker = () => [
  {
    id: 'condenser-insulation',
    station: 'condenser',
    label: 'Condenser insulation',
    set: 'Key off, condenser’s wire unhooked from the points.',
    touch: 'Red to its wire, black to its case.',
    watch: 'It kicks and climbs to OL.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red: 'points', black: 'plate', bench: 'condenser' },
    state: KEY_OFF,
    minutes: 0.8,
    opens: ['cap off', 'condenser unhooked'],
    cautions: [],
  },
];
