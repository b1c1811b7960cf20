import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, looking, type CheckMaker } from '../../../machine/check.ts';
import { firstSeen, seen } from '../../../machine/seen.ts';

/** What is stamped on the plugs and printed on the leads: of the right kind, or a resistor too many. */
export const plugType: CheckMaker = () => [
  looking(
    {
      id: 'plug-type',
      station: 'plugs',
      label: 'What is stamped on the plugs and printed on the leads',
      set: 'Engine off; a rag, a lamp.',
      touch: 'Wipe the plug’s shell and a hand’s length of lead; read both against the book.',
      watch:
        'A plug of the resistor kind on a lead that resists as well is one too many. A heat range other than the book’s: too hot, it glows and knocks; too cold, it soots.',
      words: ['as the book says', 'both resist', 'too hot', 'too cold'],
      needs: ['plugs'],
      state: KEY_OFF,
      minutes: 1,
      opens: [],
      cautions: ['hot coil'],
      look: true,
    },
    (scene) => {
      const { seriesOhms = 0, tooHot = 0, tooCold = 0 } = figuresAt(scene.params, 'plugs');
      return firstSeen(
        [
          ['both resist', seen(seriesOhms > 0, 0.9)],
          ['too hot', seen(tooHot > 0, 0.92)],
          ['too cold', seen(tooCold > 0, 0.92)],
        ],
        'as the book says',
      );
    },
  ),
];
