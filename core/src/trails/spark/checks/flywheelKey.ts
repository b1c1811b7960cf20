import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seenFrom } from '../../../machine/seen.ts';

export const flywheelKey: CheckMaker = () => [
  {
    id: 'flywheel-key',
    station: 'flywheel',
    label: 'Flywheel key',
    set: 'Flywheel nut off, flywheel drawn with a puller.',
    touch: 'Look at the key and at both keyways.',
    watch: 'A step in the key, however small, is a sheared key; a bruised taper asks for lapping in.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const sheared = seenFrom(figuresAt(scene.params, 'flywheel').slipDegrees, 0, 4, 0.99);
        return { sheared, whole: 1 - sheared };
      },
    },
    state: KEY_OFF,
    words: ['whole', 'sheared'],
    needs: ['flywheel'],
    minutes: 1,
    opens: ['flywheel off'],
    cautions: ['flywheel puller'],
  },
];
