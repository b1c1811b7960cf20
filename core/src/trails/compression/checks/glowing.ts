import { figuresAt } from '../../../machine/figures.ts';
import { howItRuns } from '../../../engine/howItRuns.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seenFrom } from '../../../machine/seen.ts';
import { JUST_OFF, KEY_OFF } from '../../../machine/state.ts';
import { CHAMBERS } from '../ids.ts';

/** An engine that goes on with its key off: fed from behind, or lit by what glows. */
export const glowing: CheckMaker = (machine) =>
  machine.partById.has(CHAMBERS)
    ? [
        looking(
          {
            id: 'compression-unplugged',
            station: CHAMBERS,
            label: 'As it runs on, key off: the ignition unplugged',
            set: 'Engine hot, key off, it goes on; out of gear, a helper at the throttle.',
            touch: 'Pull the ignition’s feed off, not a plug lead.',
            watch: 'Stops at once: something feeds it. Goes on, unevenly: it lights itself.',
            words: ['it stopped with the key', 'stops now', 'goes on unevenly'],
            needs: [CHAMBERS],
            minutes: 2,
            state: JUST_OFF,
            opens: [],
            cautions: [
              'rotating parts',
              'exhaust gas',
              'high tension',
              'fuel vapour',
              ...(machine.fit.marine ? (['marine'] as const) : []),
            ],
          },
          (scene) => {
            const glows = scene.see('glows', JUST_OFF);
            const fed = (1 - howItRuns(scene, JUST_OFF).allDead) * (1 - glows);
            return {
              'goes on unevenly': 0.02 + 0.94 * glows,
              'stops now': 0.02 + 0.94 * fed,
              'it stopped with the key': 0.96 - 0.94 * (glows + fed),
            };
          },
        ),
        looking(
          {
            id: 'compression-chamber-look',
            station: CHAMBERS,
            label: 'Piston tops, through the plug holes',
            set: 'Plugs out, a lamp on a wire or a small mirror.',
            touch: 'Look at each piston’s top; scrape with a wire.',
            watch: 'Grey or brown and thin. Thick, hard and black: it glows.',
            words: ['thin', 'thick and hard'],
            needs: [CHAMBERS],
            minutes: 2,
            state: KEY_OFF,
            opens: ['plugs out'],
            cautions: ['hot coil'],
          },
          ({ params }) => {
            const thick = seenFrom(figuresAt(params, CHAMBERS).carbon, 0.3, 1, 0.88);
            return { thin: 1 - thick, 'thick and hard': thick };
          },
        ),
      ]
    : [];
