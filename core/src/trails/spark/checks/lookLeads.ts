import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const lookLeads: CheckMaker = () => [
  {
    id: 'look-leads',
    station: 'cap',
    label: 'Outside of cap and leads',
    set: 'Key off.',
    touch: 'Run a dry finger over cap and leads.',
    watch: 'Wet, greasy, cracked, leads resting on metal.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const damp = seen((figuresAt(scene.params, 'cap').wet ?? 0) > 0.5, 0.75);
        return { damp, 'dry and clean': 1 - damp };
      },
    },
    state: KEY_OFF,
    words: ['dry and clean', 'damp'],
    needs: ['cap'],
    minutes: 0.4,
    opens: [],
    cautions: [],
    look: true,
  },
];
