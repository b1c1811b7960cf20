import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { logistic } from '../../../random/lcg.ts';
import { apartPascals } from '../breathing.ts';
import { BALANCE } from '../ids.ts';
import { told, warm } from './which.ts';

/** Several carburettors: whether they draw alike. */
export const balanceChecks: CheckMaker = (machine) =>
  told(machine) && machine.partById.has(BALANCE)
    ? [
        looking(
          {
            ...warm(machine),
            id: 'air-balance-ear',
            station: BALANCE,
            label: 'Hiss of each carburettor, through a hose held to the ear',
            touch: 'A length of hose at the ear, its end at the same place in front of each intake.',
            watch: 'The same hiss from each.',
            words: ['alike', 'one is louder'],
            needs: [BALANCE],
            minutes: 1.5,
            opens: ['air filter off'],
          },
          (scene) => {
            const louder = 0.02 + 0.9 * logistic((figuresAt(scene.params, BALANCE).apart - 0.25) / 0.06);
            return { alike: 1 - louder, 'one is louder': louder };
          },
        ),
        {
          ...warm(machine),
          id: 'air-balance-gauge',
          station: BALANCE,
          label: 'Vacuum, one side against the other',
          touch: 'A gauge on each side’s tap, or one gauge from tap to tap; the difference.',
          watch: 'Compare the gauges: all should read alike.',
          instrument: 'pressure gauge',
          probe: { kind: 'figure', value: apartPascals },
          needs: [BALANCE],
          minutes: 5,
        },
      ]
    : [];
