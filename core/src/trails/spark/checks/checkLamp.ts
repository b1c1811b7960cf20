import { figuresAt } from '../../../machine/figures.ts';
import { KEY_ON_OPEN, type CheckMaker } from '../../../machine/check.ts';
import type { MachineState } from '../../../machine/part.ts';
import { MODULE_FROM } from '../electronicSettle.ts';
import type { Scene } from '../../../machine/scene.ts';
import { CRANKING, CRANKING_CLOSED } from '../../../machine/state.ts';
import { seen } from '../../../machine/seen.ts';
import { logistic } from '../../../random/lcg.ts';

const BULB_LIVES = 0.97;
/** Chance that what the switch gives is enough for the computer. */
function fedAt(scene: Scene, state: MachineState): number {
  const at = scene.solve(state);
  const volts = (Math.abs(at.volts('switch-out') - at.volts('block')) * 12) / scene.machine.fit.volts;
  return logistic((volts - MODULE_FROM) / 0.15);
}

/** The computer's own word, through its check lamp. */
export const checkLamp: CheckMaker = () => [
  {
    id: 'check-lamp',
    station: 'computer',
    label: 'Check lamp: its codes',
    set: 'Key on after cranking for five seconds; the code asked for as the book says.',
    touch: 'Count the flashes of the check lamp.',
    watch:
      'A code for the trigger names its circuit, not the part. A lamp that never lights: bulb, feed, or the computer itself.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const silent = seen(figuresAt(scene.params, 'computer').dead > 0.5, 0.7);
        const untold = seen(figuresAt(scene.params, 'module').untold > 0.5, 0.9) * (1 - silent);
        return { 'lamp does not light': silent, 'code for the trigger': untold, 'no code': 1 - silent - untold };
      },
    },
    state: KEY_ON_OPEN,
    words: ['no code', 'code for the trigger', 'lamp does not light'],
    needs: ['computer', 'module'],
    minutes: 3,
    opens: [],
    cautions: [],
  },
  {
    id: 'check-lamp-cranking',
    station: 'computer',
    label: 'Check lamp, key on and then cranking',
    set: 'Key on for three seconds, then crank for three, gearbox out of gear.',
    touch: 'Watch the check lamp all the while.',
    watch:
      'Lit with the key, and it stays lit as it cranks. Lit and then out: the computer loses its volts as the starter draws, or the switch feeds it only at run. Never lit: bulb, feed, or the computer.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const on = fedAt(scene, KEY_ON_OPEN);
        // The lowest that it sees as the starter draws: the coil takes its current as well.
        const stays = on * fedAt(scene, CRANKING_CLOSED);
        // A bulb that is blown shows nothing either.
        const lights = (1 - 0.7 * figuresAt(scene.params, 'computer').dead) * BULB_LIVES;
        return {
          'lit throughout': lights * (0.02 + 0.96 * stays),
          'goes out cranking': lights * (0.02 + 0.96 * (on - stays)),
          'never lit': 1 - lights * (0.04 + 0.96 * on),
        };
      },
    },
    state: CRANKING,
    words: ['lit throughout', 'goes out cranking', 'never lit'],
    needs: ['computer'],
    minutes: 0.7,
    opens: [],
    cautions: [],
    look: true,
  },
];
