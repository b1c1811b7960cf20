import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const pickupGap: CheckMaker = (machine) => [
  {
    id: 'pickup-gap',
    station: 'trigger',
    label: 'Pick-up’s gap to its toothed wheel',
    set: 'Key off, cap off, a tooth of the wheel facing the pick-up.',
    touch: 'Slide a brass feeler between tooth and pick-up: steel sticks to its magnet.',
    watch: 'A wobbling shaft, rubbing marks, a gap far beyond the book’s.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const far = seen((figuresAt(scene.params, 'trigger').farFromMagnet ?? 0) > 0.5, 0.93);
        return { 'far too wide': far, 'as it should be': 1 - far };
      },
    },
    state: KEY_OFF,
    words: ['as it should be', 'far too wide'],
    needs: ['trigger', 'rotor'],
    minutes: 1.5,
    opens: machine.fit.module === 'commanded' ? ['cap off', 'connectors apart'] : ['cap off'],
    cautions: [],
  },
];
