import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, looking, type CheckMaker } from '../../../machine/check.ts';
import { idOf } from '../../../machine/numbered.ts';
import { firstSeen, seen } from '../../../machine/seen.ts';

const each = (cylinders: number) => Array.from({ length: cylinders }, (_, i) => i + 1);

/** What is stamped on the plugs and printed on the leads: of the right kind, or a resistor too many. */
/** A plug of its own among its fellows. */
const onlyHot = (n: number) => `only ${n} is too hot`;

export const plugType: CheckMaker = ({ fit: { cylinders } }) => [
  looking(
    {
      id: 'plug-type',
      station: 'plugs',
      label: 'What is stamped on the plugs and printed on the leads',
      set: 'Engine off; a rag, a lamp.',
      touch: 'Wipe the plug’s shell and a hand’s length of lead; read both against the book.',
      watch:
        'A plug of the resistor kind on a lead that resists as well is one too many. A heat range other than the book’s: too hot, it glows and knocks; too cold, it soots.',
      words: [
        'as the book says',
        'both resist',
        'too hot',
        'too cold',
        ...(cylinders > 1 ? each(cylinders).map(onlyHot) : []),
      ],
      needs: ['plugs'],
      state: KEY_OFF,
      minutes: 1,
      opens: [],
      cautions: ['hot coil'],
      look: true,
    },
    (scene) => {
      const { seriesOhms = 0, tooHot = 0, tooCold = 0 } = figuresAt(scene.params, 'plugs');
      const own = each(cylinders).map((n) => (figuresAt(scene.params, idOf('plug', n)).tooHot ?? 0) > 0);
      const alone = own.map((hot) => !tooHot && hot);
      return firstSeen(
        [
          ['both resist', seen(seriesOhms > 0, 0.9)],
          ['too hot', seen(tooHot > 0 || own.every(Boolean), 0.92)],
          ['too cold', seen(tooCold > 0, 0.92)],
          ...(cylinders > 1 ? alone.map((hot, i) => [onlyHot(i + 1), seen(hot, 0.92)] as const) : []),
        ],
        'as the book says',
      );
    },
  ),
];
