import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** What is stamped on the plugs and printed on the leads: of the right kind, or a resistor too many. */
export const plugType: CheckMaker = () => [
  looking(
    {
      id: 'plug-type',
      station: 'plugs',
      label: 'What is stamped on the plugs and printed on the leads',
      set: 'Engine off; a rag, a lamp.',
      touch: 'Wipe the plug’s shell and a hand’s length of lead; read both against the book.',
      watch: 'A plug of the resistor kind on a lead that resists as well is one too many.',
      words: ['as the book says', 'both resist'],
      needs: ['plugs'],
      state: KEY_OFF,
      minutes: 1,
      opens: [],
      cautions: ['hot coil'],
      look: true,
    },
    (scene) => {
      const both = seen((figuresAt(scene.params, 'plugs').seriesOhms ?? 0) > 0, 0.9);
      return { 'as the book says': 1 - both, 'both resist': both };
    },
  ),
];
