import { huntsWeak, idlesWrong } from '../../../engine/idle.ts';
import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seenSo } from '../../../machine/seen.ts';
import { IDLE, KEY_OFF } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { governorHunts } from '../breathing.ts';
import { GOVERNOR } from '../ids.ts';
import { warm } from './which.ts';

/** Pull of the spring under which it is seen to be slack. */
const SLACK_UNDER = 0.75;

/** What holds the speed: taken out of it by hand, and looked at. */
export const governorChecks: CheckMaker = (machine) =>
  machine.partById.has(GOVERNOR)
    ? [
        looking(
          {
            ...warm(machine),
            id: 'air-governor-held',
            station: GOVERNOR,
            label: 'Throttle held still by hand: does it go on hunting?',
            touch: 'Hold the throttle lever where it is, sleeves clear of fan and belts; never let it run away.',
            watch: 'Steady while held: the governor or its linkage. If it still hunts, the mixture is too weak.',
            words: ['does not hunt', 'steady while held', 'still hunts'],
            needs: [GOVERNOR],
            minutes: 1,
            look: true,
          },
          (scene) => {
            const weak = huntsWeak(scene.see('richness', IDLE));
            const held = 0.02 + 0.93 * governorHunts(scene.params) * (1 - weak);
            const same = 0.02 + 0.93 * Math.min(weak, idlesWrong(scene));
            return { 'does not hunt': 1 - held - same, 'steady while held': held, 'still hunts': same };
          },
        ),
        looking(
          {
            state: KEY_OFF,
            opens: [],
            cautions: [],
            id: 'air-governor-look',
            station: GOVERNOR,
            label: 'Governor linkage and spring, worked by hand',
            set: 'Engine still.',
            touch: 'Move the linkage through its whole travel; feel each joint; look where the spring is hooked.',
            watch: 'Moves freely, without play, and the spring draws it wide open.',
            words: ['free and drawn open', 'binds or has play', 'spring slack or off'],
            needs: [GOVERNOR],
            minutes: 1.5,
            look: true,
          },
          ({ params }) => {
            const { drag, pull } = figuresAt(params, GOVERNOR);
            const slack = seenSo(logistic((SLACK_UNDER - pull) / 0.05), 0.93);
            const binds = (1 - slack) * seenSo(logistic((drag - 0.16) / 0.03), 0.9);
            return {
              'free and drawn open': 1 - slack - binds,
              'binds or has play': binds,
              'spring slack or off': slack,
            };
          },
        ),
      ]
    : [];
