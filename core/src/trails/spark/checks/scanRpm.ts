import { figuresAt } from '../../../machine/figures.ts';
import { CRANKING, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

export const scanRpm: CheckMaker = () => [
  {
    id: 'scan-rpm',
    station: 'trigger',
    label: 'Speed that the computer sees, cranking',
    set: 'Scan reader on live figures. Crank, gearbox out of gear.',
    touch: 'Read the engine speed while it cranks.',
    watch: 'Some 150 to 250 rev/min. Nought: the crank sensor, its gap or its wires.',
    instrument: 'scan reader',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const blind = seen(figuresAt(scene.params, 'computer').untold > 0.5, 0.98);
        return { 'stays at nought': blind, 'shows a speed': 1 - blind };
      },
    },
    state: CRANKING,
    words: ['shows a speed', 'stays at nought'],
    needs: ['command-1'],
    minutes: 1.5,
    opens: [],
    cautions: ['rotating parts'],
  },
];
