import { figuresAt } from '../../../machine/figures.ts';
import { sparkWords } from '../../../instruments/sparkTester.ts';
import { CRANKING, SPARK_CAUTIONS, type CheckMaker } from '../../../machine/check.ts';

/** The pencil test: carbon between lead and plug flares on the far side of a spark of the right polarity. */
export const sparkPolarity: CheckMaker = (machine) => [
  {
    id: 'spark-polarity',
    station: 'coil',
    label: 'Polarity of the spark, with a pencil',
    set: 'Crank, gearbox out of gear; a plug lead held 6 mm off its plug.',
    touch: 'Hold a pencil’s lead in the gap with insulated pliers.',
    watch:
      'The flare should be on the plug’s side of the pencil; on the lead’s side the coil is wired the wrong way round.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const { none } = sparkWords(scene.spark('plug lead', CRANKING, 1));
        const wrong = figuresAt(scene.params, 'coil').reversed > 0.5 ? 0.93 : 0.04;
        return {
          'no spark': none,
          'flares at the plug': (1 - none) * (1 - wrong),
          'flares at the lead': (1 - none) * wrong,
        };
      },
    },
    state: CRANKING,
    words: ['flares at the plug', 'flares at the lead', 'no spark'],
    needs: ['coil'],
    minutes: 2,
    opens: [],
    cautions: SPARK_CAUTIONS.concat(machine.fit.marine ? ['marine'] : []),
  },
];
