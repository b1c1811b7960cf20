import { figuresAt } from '../../../machine/figures.ts';
import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** One for each cylinder. */
export const plugGap: CheckMaker = (machine) =>
  Array.from({ length: machine.fit.cylinders }, (_, i) => ({
    id: `plug-${i + 1}-gap`,
    beside: { what: 'Plug gaps', n: i + 1 },
    station: 'plugs',
    label: `Plug ${i + 1} gap`,
    set: 'This plug out, its hole covered.',
    touch: 'Feeler or wire gauge between the electrodes.',
    watch: 'Go by the gauge, not by eye.',
    instrument: 'feeler gauge',
    probe: {
      kind: 'figure',
      value: (scene) =>
        figuresAt(scene.params, idOf('plug', i + 1)).gapMetres + figuresAt(scene.params, 'plugs').extraGap,
    },
    state: KEY_OFF,
    figure: `${idOf('plug', i + 1)}.gapMetres`,
    needs: ['plugs'],
    minutes: 1.8,
    opens: [],
    cautions: ['fuel vapour'],
  }));
