import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const condenserCapacitance: CheckMaker = () => [
  {
    id: 'condenser-capacitance',
    station: 'condenser',
    label: 'Condenser capacitance',
    set: 'Key off, condenser’s wire unhooked from the points, condenser discharged.',
    touch: 'Red to its wire, black to its case.',
    watch: 'Too small pits one contact, too large the other.',
    instrument: 'capacitance meter',
    probe: { kind: 'figure', value: (scene) => figuresAt(scene.params, 'condenser').farads },
    state: KEY_OFF,
    needs: ['condenser'],
    minutes: 0.8,
    opens: ['cap off', 'condenser unhooked'],
    cautions: [],
  },
];
