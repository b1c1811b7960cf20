import { idleHole, idleRpm, idling } from '../../../engine/manifold.ts';
import { burns } from '../../../engine/mixture.ts';
import { cylinderFires } from '../../../engine/squeeze.ts';
import { sparkWords } from '../../../instruments/sparkTester.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import type { Scene } from '../../../machine/scene.ts';
import { IDLE, RUNNING } from '../../../machine/state.ts';
import { logistic } from '../../../random/lcg.ts';
import { GASKET } from '../ids.ts';
import { told, warm } from './which.ts';

/** Fall of the needle that an eye sees as a beat, pascal. */
const SEEN_FROM = 1500;

/** Fall of manifold vacuum for the stroke of a cylinder that does no work, pascal: a mean-value engine with and without it. */
export function beat(scene: Scene): number {
  const { fit } = scene.machine;
  const hole = idleHole(fit.litres, idleRpm(fit));
  const with_ = idling(fit.litres, hole, 1).pascals;
  return idling(fit.litres, hole, (fit.cylinders - 1) / fit.cylinders).pascals - with_;
}

/** How the needle moves: what one figure does not tell, its beat does. */
export const needle: CheckMaker = (machine) =>
  told(machine) && machine.fit.cylinders > 1
    ? [
        looking(
          {
            ...warm(machine),
            id: 'air-vacuum-needle',
            station: GASKET,
            label: 'Needle of the vacuum gauge, idling: how does it move?',
            touch: 'Gauge on a tap below the throttle; watch it for half a minute.',
            watch:
              'Still. A beat at every turn: one cylinder. A slow sway: mixture or balance. A fall now and then: a valve that sticks.',
            words: ['still', 'falls at every beat', 'sways slowly'],
            needs: [GASKET],
            minutes: 1.5,
          },
          (scene) => {
            const running = burns(scene.see('richness', IDLE), IDLE);
            const lame = Array.from({ length: machine.fit.cylinders }, (_, i) => {
              const fires =
                (1 - sparkWords(scene.spark('plug', RUNNING, i + 1)).none) * cylinderFires(scene, IDLE, i + 1);
              return 1 - fires;
            });
            const some = 1 - lame.reduce((p, l) => p * (1 - l), 1);
            const beats = 0.92 * some * logistic((beat(scene) - SEEN_FROM) / 400);
            const rich = scene.see('richness', IDLE);
            const off = logistic((0.88 - rich) / 0.025) + logistic((rich - 1.3) / 0.05);
            const sways = (1 - beats) * 0.88 * Math.min(1, Math.max(off, scene.see('uneven', IDLE), 1 - running));
            return {
              still: 0.96 - 0.94 * (beats + sways),
              'falls at every beat': 0.02 + 0.94 * beats,
              'sways slowly': 0.02 + 0.94 * sways,
            };
          },
        ),
      ]
    : [];
