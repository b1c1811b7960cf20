import { outsideOf } from '../../../engine/altitude.ts';
import { idleHole, idling } from '../../../engine/manifold.ts';
import { idleRpm } from '../../../engine/speeds.ts';
import { burns } from '../../../engine/burns.ts';
import { lameCylinders } from '../../../engine/squeeze.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { ofSeveral } from '../../../machine/several.ts';
import type { Fit } from '../../../schema/fit.ts';
import { IDLE, RUNNING } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { GASKET } from '../ids.ts';
import { told, warm } from './which.ts';

/** Fall of the needle that an eye sees as a beat, pascal. */
const SEEN_FROM = 1500;

/** Fall of manifold vacuum for the stroke of a cylinder that does no work, pascal: a mean-value engine with and without it. */
function beatOf(fit: Fit): number {
  const { litres, cylinders } = fit;
  const outside = outsideOf(fit);
  const hole = idleHole(litres, idleRpm(fit), outside);
  const works = (share: number) => idling(litres, hole, share, outside).pascals;
  return works((cylinders - 1) / cylinders) - works(1);
}

/** How the needle moves: what one figure does not tell, its beat does. */
export const needle: CheckMaker = (machine) => {
  if (!told(machine) || machine.fit.cylinders < 2) return [];
  const shows = logistic((beatOf(machine.fit) - SEEN_FROM) / 400);
  return [
    looking(
      {
        ...warm(machine),
        id: 'air-vacuum-needle',
        station: GASKET,
        label: 'Vacuum gauge needle at idle: how does it move?',
        touch: 'Gauge on a tap below the throttle; watch it for half a minute.',
        watch:
          'Still. A beat at every turn: one cylinder. A slow sway: mixture, balance or governor. A fall now and then: a valve that sticks.',
        words: ['still', 'falls at every beat', 'sways slowly'],
        needs: [GASKET],
        minutes: 1.5,
      },
      (scene) => {
        const running = burns(scene.see('richness', IDLE), IDLE);
        const some = 1 - ofSeveral(lameCylinders(scene, RUNNING)).none;
        const beats = 0.92 * some * shows;
        const rich = scene.see('richness', IDLE);
        const off = logistic((0.88 - rich) / 0.025) + logistic((rich - 1.3) / 0.05);
        const sways =
          (1 - beats) *
          0.88 *
          Math.min(1, Math.max(off, scene.see('uneven', IDLE), scene.see('hunts', IDLE), 1 - running));
        return {
          still: 0.96 - 0.94 * (beats + sways),
          'falls at every beat': 0.02 + 0.94 * beats,
          'sways slowly': 0.02 + 0.94 * sways,
        };
      },
    ),
  ];
};
