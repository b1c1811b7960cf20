import { figuresAt } from '../../../machine/figures.ts';
import { CRANKING, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** What the computer tells the module, seen by an LED lamp or a meter's frequency range. */
export const commandSignal: CheckMaker = () => [
  {
    id: 'command-signal',
    station: 'computer',
    label: 'Computer’s command at the module, cranking',
    set: 'All connected. Crank, gearbox out of gear.',
    touch: 'An LED lamp, or a meter on hertz, on the module’s command wire.',
    watch:
      'It pulses: the computer does its part, look at module and coil. It does not: trigger, computer’s feed and earth, the computer last.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const steady = seen(figuresAt(scene.params, 'module').untold > 0.5, 0.96);
        return { 'does not pulse': steady, pulses: 1 - steady };
      },
    },
    state: CRANKING,
    words: ['pulses', 'does not pulse'],
    needs: ['computer', 'module'],
    minutes: 2,
    opens: [],
    cautions: ['rotating parts'],
  },
];
