import { figuresAt } from '../../../machine/figures.ts';
import { KEY_ON_OPEN, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** The computer's own word, through its check lamp. */
export const checkLamp: CheckMaker = () => [
  {
    id: 'check-lamp',
    station: 'computer',
    label: 'Check lamp: its codes',
    set: 'Key on after cranking for five seconds; the code asked for as the book says.',
    touch: 'Count the flashes of the check lamp.',
    watch:
      'A code for the trigger names its circuit, not the part. A lamp that never lights: bulb, feed, or the computer itself.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const silent = seen(figuresAt(scene.params, 'computer').dead > 0.5, 0.7);
        const untold = seen(figuresAt(scene.params, 'module').untold > 0.5, 0.9) * (1 - silent);
        return { 'lamp does not light': silent, 'code for the trigger': untold, 'no code': 1 - silent - untold };
      },
    },
    state: KEY_ON_OPEN,
    words: ['no code', 'code for the trigger', 'lamp does not light'],
    needs: ['computer', 'module'],
    minutes: 3,
    opens: [],
    cautions: [],
  },
];
