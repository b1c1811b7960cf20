import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** Every lead followed from its tower to its plug, the way the rotor turns. */
export const leadOrderLook: CheckMaker = () => [
  looking(
    {
      id: 'lead-order',
      station: 'plug-leads',
      label: 'Leads against the firing order',
      set: 'Key off. Find which way the rotor turns, and which tower is number one.',
      touch: 'Follow each lead from its tower to its plug, in the firing order.',
      watch: 'Each cylinder in its turn. Two neighbours changed over: both dead, and it spits back.',
      state: KEY_OFF,
      words: ['in order', 'two swapped'],
      needs: ['lead-order'],
      minutes: 2.5,
      opens: [],
      cautions: [],
      look: true,
    },
    (scene) => {
      const swapped = seen(figuresAt(scene.params, 'lead-order').swapped > 0, 0.95);
      return { 'two swapped': swapped, 'in order': 1 - swapped };
    },
  ),
];
