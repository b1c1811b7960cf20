import { figuresAt } from '../../../machine/figures.ts';
import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** One for each cylinder: the lead comes off, the plug stays in. */
export const plugInsulation: CheckMaker = (machine) =>
  Array.from({ length: machine.fit.cylinders }, (_, i) => ({
    id: `plug-${i + 1}-ohms`,
    beside: { what: 'Plug insulators', n: i + 1 },
    station: 'plugs',
    label: `Plug ${i + 1} insulator, ohms`,
    set: 'Key off, lead off the plug.',
    touch: 'Red to the top of the plug, black to the engine block.',
    watch: 'Below about 1 MΩ the plug is fouled.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'figure',
      value: (scene) =>
        1 /
        (1 / figuresAt(scene.params, idOf('plug', i + 1)).shuntOhms + 1 / figuresAt(scene.params, 'plugs').shuntOhms),
    },
    state: KEY_OFF,
    needs: ['plugs'],
    minutes: 0.7,
    opens: [],
    cautions: [],
  }));
