import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookRotor: CheckMaker = () => [
  {
    id: 'look-rotor',
    station: 'rotor',
    label: 'The rotor arm',
    set: 'Key off, cap off, rotor off its shaft.',
    touch: 'Look under it and at its tip; press its spring.',
    watch: 'A pinhole with a burnt rim, a tip burnt short, a spring that is gone.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const rotor = figuresAt(scene.params, 'rotor');
        const through = seen(rotor.flashVolts < 10e3, 0.35);
        const tip = seen(rotor.gapVolts > 6e3, 0.97) * (1 - through);
        return { 'burnt through': through, 'tip or spring gone': tip, sound: 1 - through - tip };
      },
    },
    state: KEY_OFF,
    words: ['sound', 'burnt through', 'tip or spring gone'],
    needs: ['rotor'],
    minutes: 0.5,
    opens: ['cap off'],
    cautions: [],
  },
];
