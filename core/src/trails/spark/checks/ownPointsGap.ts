import { figuresAt } from '../../../machine/figures.ts';
import { eachOf, idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker, overPoints, openedWords, pullerCaution } from '../../../machine/check.ts';

/** Points under a flywheel: one pair for each cylinder. */
export const ownPointsGap: CheckMaker = (machine) =>
  eachOf(machine, 'points', (n, named) => ({
    id: `points-${n}-gap`,
    station: 'points',
    label: `${named('Points')}: gap on the high spot`,
    set: `${openedWords(machine)}; heel of the points on the high spot of the cam.`,
    touch: 'Slide the feeler between the contacts; it drags lightly when it is right.',
    watch: 'A pip on one contact makes the gauge read small. The gap sets the timing here.',
    instrument: 'feeler gauge',
    probe: { kind: 'figure', value: (scene) => figuresAt(scene.params, idOf('points', n)).gapMetres },
    state: KEY_OFF,
    figure: `${idOf('points', n)}.gapMetres`,
    needs: [idOf('points', n)],
    minutes: 1.5,
    opens: [overPoints(machine)],
    cautions: pullerCaution(machine),
  }));
