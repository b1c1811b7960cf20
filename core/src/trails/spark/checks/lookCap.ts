import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookCap: CheckMaker = () => [
  {
    id: 'look-cap',
    station: 'cap',
    label: 'Inside of the cap',
    set: 'Key off, cap off.',
    touch: 'Wipe it and look along its ribs in good light; press the carbon brush.',
    watch: 'Carbon tracks like pencil lines, a crack, wet, a brush that is gone.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const cap = figuresAt(scene.params, 'cap');
        const tracked = seen((cap.tracked ?? 0) > 0.5, 0.8);
        const damp = seen((cap.wet ?? 0) > 0.5, 0.9) * (1 - tracked);
        const brush = seen(cap.gapVolts > 3000, 0.97) * (1 - tracked - damp);
        return { tracked, damp, 'brush gone': brush, sound: 1 - tracked - damp - brush };
      },
    },
    state: KEY_OFF,
    words: ['sound', 'tracked', 'damp', 'brush gone'],
    needs: ['cap'],
    minutes: 0.8,
    opens: ['cap off'],
    cautions: [],
  },
];
