import { figuresAt } from '../../../machine/figures.ts';
import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker, overPoints, openedWords, pullerCaution } from '../../../machine/check.ts';
import { seenFrom } from '../../../machine/seen.ts';

/** One for each cylinder. */
export const lookOwnPoints: CheckMaker = (machine) =>
  eachOf(machine, 'points', (n, named) => ({
    id: `look-points-${n}`,
    station: 'points',
    label: `Faces of ${named('points')}`,
    set: `${openedWords(machine)}.`,
    touch: 'Part the contacts with a screwdriver and look at both faces.',
    watch: 'Grey and flat is good; blue, black, pitted, oily or furred from standing is not.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const burnt = seenFrom(
          Math.log(figuresAt(scene.params, idOf('points', n)).ohms),
          Math.log(0.05),
          Math.log(0.6),
          0.95,
        );
        return { 'burnt or dirty': burnt, clean: 1 - burnt };
      },
    },
    state: KEY_OFF,
    words: ['clean', 'burnt or dirty'],
    needs: [idOf('points', n)],
    minutes: 0.7,
    opens: [overPoints(machine)],
    cautions: pullerCaution(machine),
  }));
