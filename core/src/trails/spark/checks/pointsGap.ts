import { figuresAt } from '../../../machine/figures.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

export const pointsGap: CheckMaker = () => [
  {
    id: 'points-gap',
    does: ['turned by hand'],
    station: 'points',
    label: 'Points gap on the high spot',
    set: 'Key off, cap off, heel of the points on the high spot of a cam lobe.',
    touch: 'Slide the feeler between the contacts; it drags lightly when it is right.',
    watch: 'A pip on one contact makes the gauge read small.',
    instrument: 'feeler gauge',
    probe: { kind: 'figure', value: (scene) => figuresAt(scene.params, 'points').gapMetres },
    state: KEY_OFF,
    figure: 'points.gapMetres',
    needs: ['points'],
    minutes: 1.5,
    opens: ['cap off'],
    cautions: [],
  },
];
