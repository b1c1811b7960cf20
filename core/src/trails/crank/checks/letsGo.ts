import { looking, type Check, type CheckMaker } from '../../../machine/check.ts';
import type { Scene } from '../../../machine/scene.ts';
import { seen } from '../../../machine/seen.ts';
import { CRANKING } from '../../../machine/state.ts';
import { RELAY, SOLENOID } from '../ids.ts';
import { CAUTIONS, keptFromFiring, marine, told } from './start.ts';

const WORDS = ['stops', 'turns on'] as const;
type Keeps = ReturnType<typeof keeps>;
const keeps = (scene: Scene) => scene.see('keepsCranking', CRANKING);

/** A starter that does not let go: by its own contacts, or because something goes on telling it. */
export const letsGo: CheckMaker = (machine) => {
  if (!told(machine)) return [];
  const check = (
    own: Pick<Check, 'id' | 'station' | 'label' | 'touch' | 'watch' | 'needs'>,
    goesOn: readonly Keeps[],
  ): Check =>
    looking(
      {
        ...own,
        set: `A hand at the battery’s earth lead, its nut slackened: off with it at once if it does not stop. Out of gear, ${keptFromFiring(machine)}. Key to start for a second, then let go.`,
        words: WORDS,
        state: CRANKING,
        minutes: 1,
        opens: [],
        cautions: [...CAUTIONS, ...marine(machine)],
      },
      (scene) => {
        const on = seen(goesOn.includes(keeps(scene)), 0.98);
        return { stops: 1 - on, 'turns on': on };
      },
    );
  return [
    check(
      {
        id: 'crank-let-go',
        station: 'starter',
        label: 'Key let go: does the starter stop?',
        touch: 'Nothing: listen.',
        watch:
          'It should stop at once. If it keeps turning, contacts are welded, or the start switch or relay is stuck on.',
        needs: [SOLENOID],
      },
      ['contacts', 'relay', 'switch'],
    ),
    check(
      {
        id: 'crank-small-wire-off',
        station: 'starter',
        label: 'Small wire pulled off while it is told to turn: does it stop?',
        touch: 'As soon as it turns, pull the small wire off the solenoid by an insulated grip.',
        watch:
          'If it stops, the start switch or the relay is stuck on. If it keeps turning, the solenoid contacts are welded.',
        needs: [SOLENOID],
      },
      ['contacts'],
    ),
    ...(machine.partById.has(RELAY)
      ? [
          check(
            {
              id: 'crank-relay-let-go',
              station: 'start-relay',
              label: 'The relay’s coil wire off: does the starter stop?',
              touch: 'As soon as it turns on, pull the small coil wire off the relay.',
              watch:
                'If it stops, the start switch is stuck on. If it keeps turning, the contact of the relay or of the solenoid is welded.',
              needs: [RELAY],
            },
            ['contacts', 'relay'],
          ),
        ]
      : []),
  ];
};
