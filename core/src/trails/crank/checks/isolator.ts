import { CRANKING, looking, touch, type CheckMaker } from '../../../machine/check.ts';
import { figuresAt } from '../../../machine/figures.ts';
import { seen } from '../../../machine/seen.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { ISOLATOR } from '../../shared/supply.ts';
import { start, told } from './start.ts';

/** A master switch: is it on at all, and what it takes while the starter turns. */
export const isolatorChecks: CheckMaker = (machine) =>
  machine.partById.has(ISOLATOR)
    ? [
        looking(
          {
            id: 'isolator-look',
            station: ISOLATOR,
            label: 'Battery isolator: is it on?',
            set: 'Key off.',
            touch: 'Turn it off and on again, all the way; wriggle its key.',
            watch: 'It snaps over and stays. A key that is only half in or a loose lever means off.',
            words: ['on', 'was off'],
            state: KEY_OFF,
            needs: [ISOLATOR],
            minutes: 0.3,
            opens: [],
            cautions: [],
            look: true,
          },
          ({ params }) => {
            const off = seen((figuresAt(params, ISOLATOR).off ?? 0) > 0, 0.97);
            return { on: 1 - off, 'was off': off };
          },
        ),
        ...(told(machine)
          ? [
              {
                ...start(machine),
                state: CRANKING,
                id: 'isolator-drop',
                station: ISOLATOR,
                label: 'Voltage drop over the battery isolator, cranking',
                touch: touch(machine, 'clamp', 'main'),
                watch: 'Next to nothing. If it is more, the contacts are burnt or loose.',
                instrument: 'voltmeter' as const,
                probe: { kind: 'across' as const, live: 'clamp', earth: 'main' },
                minutes: 1,
              },
            ]
          : []),
      ]
    : [];
