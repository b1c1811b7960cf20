import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const impulseSnap: CheckMaker = () => [
  {
    id: 'impulse-snap',
    does: ['turned by hand'],
    station: 'impulse',
    label: 'Impulse coupling: does it snap',
    set: 'Plugs out or leads earthed, out of gear. Turn the engine slowly by hand.',
    touch: 'Listen and feel at the magneto as each cylinder comes to its top.',
    watch: 'A sharp click at each firing. None: gummed pawls or a broken spring, and no spark at cranking speed.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const silent = seen(figuresAt(scene.params, 'impulse').stuck > 0.5, 0.97);
        return { 'no snap': silent, 'it snaps': 1 - silent };
      },
    },
    state: KEY_OFF,
    words: ['it snaps', 'no snap'],
    needs: ['impulse'],
    minutes: 1.5,
    opens: [],
    cautions: ['rotating parts', 'high tension'],
    look: true,
  },
];
