import { CRANKING, touch, type CheckMaker } from '../../../machine/check.ts';

export const moduleEarthDrop: CheckMaker = (machine) => [
  {
    id: 'module-earth-drop',
    station: 'module-earth',
    label: 'Voltage drop, module’s base to engine block, cranking',
    set: 'Crank, gearbox out of gear.',
    touch: touch(machine, 'module-', 'block'),
    watch: 'A few hundredths of a volt. It carries all of the coil’s current, and the module’s heat goes the same way.',
    instrument: 'voltmeter',
    probe: { kind: 'across', live: 'module-', earth: 'block' },
    state: CRANKING,
    needs: ['module'],
    minutes: 1.3,
    opens: [],
    cautions: ['rotating parts'],
  },
];
