import { figuresAt } from '../../../machine/figures.ts';
import { eachOf, idOf } from '../../../machine/numbered.ts';
import { CRANKING, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** One for each plug coil. */
export const coilCommand: CheckMaker = (machine) =>
  eachOf(machine, 'command', (n) => ({
    id: `command-${n}-signal`,
    station: 'command',
    label: `Command at coil ${n}, cranking`,
    set: 'Coil’s connector off. Crank, gearbox out of gear.',
    touch: `An LED lamp, or a meter on hertz, on the command wire of coil ${n}.`,
    watch: 'It pulses: the coil has its orders. Only this one does not: its wire.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const { untold, dead } = figuresAt(scene.params, 'computer');
        const silent = untold > 0.5 || dead > 0.5 || figuresAt(scene.params, idOf('command', n)).ohms > 1e4;
        const still = seen(silent, 0.96);
        return { 'does not pulse': still, pulses: 1 - still };
      },
    },
    state: CRANKING,
    words: ['pulses', 'does not pulse'],
    minutes: 2,
    opens: [],
    cautions: ['rotating parts'],
  }));
