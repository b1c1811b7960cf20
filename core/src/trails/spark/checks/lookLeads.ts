import { figuresAt, figuresIfAny } from '../../../machine/figures.ts';
import { hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { firstSeen, seen } from '../../../machine/seen.ts';

export const lookLeads: CheckMaker = (machine) => [
  {
    id: 'look-leads',
    station: 'cap',
    label: 'Outside of cap and leads',
    set: 'Key off.',
    touch: 'Run a dry finger over cap and leads.',
    watch: 'Wet, greasy, cracked; leads that rest on metal, or two that lie bound together.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const damp = seen((figuresAt(scene.params, 'cap').wet ?? 0) > 0.5, 0.75);
        const together = seen((figuresIfAny(scene.params, 'lead-order')?.crossed ?? 0) > 0, 0.7);
        return firstSeen(
          [
            ['damp', damp],
            ['two leads touch', together],
          ],
          'dry and clean',
        );
      },
    },
    state: KEY_OFF,
    words: ['dry and clean', 'damp', ...(hasPart(machine, 'lead-order') ? ['two leads touch'] : [])],
    needs: ['cap'],
    minutes: 0.4,
    opens: [],
    cautions: [],
    look: true,
  },
];
