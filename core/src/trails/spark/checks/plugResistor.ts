import { figuresAt } from '../../../machine/figures.ts';
import { idOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

/** Top of a plug to its centre electrode: a resistor inside it adds to that of the lead. One stands for the set. */
export const plugResistor: CheckMaker = ({ fit }) => [
  {
    id: 'plug-through',
    station: 'plugs',
    label: 'Through a plug, top to centre electrode',
    set: 'Plugs out and wiped.',
    touch: 'Probes on its top and on its centre electrode.',
    watch: fit.resistorPlugs
      ? 'Thousands of ohms: its resistor. None at all is a plain plug, many times more is one that has burnt away.'
      : 'Nothing, on a plain plug. Thousands of ohms are a resistor: not with leads that have one.',
    instrument: 'ohmmeter',
    probe: {
      kind: 'figure',
      value: (scene) =>
        figuresAt(scene.params, idOf('plug', 1)).ohms + (figuresAt(scene.params, 'plugs').seriesOhms ?? 0),
    },
    state: KEY_OFF,
    needs: ['plugs', 'plug-1'],
    minutes: 0.6,
    opens: ['plugs out'],
    cautions: ['hot coil'],
  },
];
