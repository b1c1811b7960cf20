import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { logistic } from '../../../random/lcg.ts';
import { seenSo } from '../../../machine/seen.ts';

/** From about so much contacts are seen to be burnt or dirty, ohms. */
const BURNT_OHMS = 0.3;

export const lookPoints: CheckMaker = () => [
  {
    id: 'look-points',
    station: 'points',
    label: 'Faces of the points',
    set: 'Key off, cap off.',
    touch: 'Part the contacts with a screwdriver and look at both faces.',
    watch: 'Grey and flat is good; blue, black, pitted or oily is not.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const burnt = seenSo(logistic(Math.log(figuresAt(scene.params, 'points').ohms / BURNT_OHMS) / 0.4), 0.94);
        return { 'burnt or dirty': burnt, clean: 1 - burnt };
      },
    },
    state: KEY_OFF,
    words: ['clean', 'burnt or dirty'],
    needs: ['points'],
    minutes: 0.7,
    opens: ['cap off'],
    cautions: [],
  },
];
