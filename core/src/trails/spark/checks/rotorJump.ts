import { figuresAt } from '../../../machine/figures.ts';
import { CRANKING, crankOrFlick, type CheckMaker } from '../../../machine/check.ts';
import { logistic } from '../../../random/lcg.ts';

export const rotorJump: CheckMaker = (machine) => [
  {
    id: 'rotor-jump',
    station: 'rotor',
    label: 'Coil lead held near the rotor',
    set: crankOrFlick(machine, 'Cap off, rotor in place; crank'),
    touch: 'Hold the coil lead with insulated pliers 6 mm above the rotor’s brass.',
    watch: 'Sparks that jump go through the rotor to the shaft: it is punched. A sound rotor gives nowhere to jump.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const spark = scene.spark('coil lead', CRANKING, 1);
        const through = figuresAt(scene.params, 'rotor').flashVolts + spark.requiredVolts;
        const jumps = logistic((spark.availableVolts / through - 1) / 0.05);
        return { 'it jumps': jumps, 'nothing jumps': 1 - jumps };
      },
    },
    state: CRANKING,
    words: ['nothing jumps', 'it jumps'],
    needs: ['rotor', 'coil-lead'],
    minutes: 1.4,
    opens: ['cap off'],
    cautions: ['high tension', 'fuel vapour', 'rotating parts'],
  },
];
