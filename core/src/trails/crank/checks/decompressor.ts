import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { DECOMPRESSOR } from '../ids.ts';

/** Area that it leaves open, and lift that it lacks, from which the lever shows it. */
const OPEN_FROM = 2e-6;
const LIFTS_UNDER = 0.6;

/** The lever and its cable, worked by hand. */
export const decompressorChecks: CheckMaker = (machine) =>
  machine.partById.has(DECOMPRESSOR)
    ? [
        looking(
          {
            id: 'crank-decompressor',
            does: ['turned by hand'],
            station: DECOMPRESSOR,
            label: 'Decompressor: lever and cable, worked and let go',
            set: 'Engine still, ignition off.',
            touch:
              'Lift it, let it go; feel for play in the cable. Turn the engine over slowly with it lifted, and without.',
            watch:
              'The engine turns easily with the lever lifted and has full compression with it released. The cable has a little play.',
            words: ['lifts and lets go', 'stays open', 'does not lift'],
            state: KEY_OFF,
            needs: [DECOMPRESSOR],
            minutes: 1,
            opens: [],
            cautions: [],
            look: true,
          },
          ({ params }) => {
            const own = figuresAt(params, DECOMPRESSOR);
            const open = seenSo(logistic(Math.log((own.leakSquareMetres + 1e-9) / OPEN_FROM) / 0.3), 0.93);
            const dead = (1 - open) * seenSo(logistic((LIFTS_UNDER - own.lifts) / 0.06), 0.93);
            return { 'lifts and lets go': 1 - open - dead, 'stays open': open, 'does not lift': dead };
          },
        ),
      ]
    : [];
