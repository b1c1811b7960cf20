import type { Scene } from '../layouts/index.ts';
import type { MachineState } from '../parts/index.ts';
import { logistic } from '../random/lcg.ts';
import { sparkWords } from './sparkTester.ts';

/** Degrees of the crank by which a spark may be out before the engine will not fire. */
const FIRES_WITHIN = 25;
/** Below this share of the nominal voltage the starter does not turn the engine fast enough to speak of "cranks". */
const CRANKS_FROM = 0.58;

/** Chance that the sparks, such as they are, come near enough to their moment. */
export const firesInTime = (scene: Scene): number => {
  const off = scene.layout.outOfTime?.(scene);
  return off === undefined ? 1 : logistic((FIRES_WITHIN - Math.abs(off)) / 3);
};

/** What the engine makes of its sparks in one state. Chances, 0…1. */
export interface Running {
  readonly allDead: number;
  readonly someDead: number;
  readonly noneDead: number;
  /** Share of sparks that are there but weak. */
  readonly weak: number;
  /** That the starter turns it at all fast enough. */
  readonly turns: number;
}

/** Fires or not on each cylinder, from the voltage that is there against the voltage that is asked. */
export function howItRuns(scene: Scene, state: MachineState): Running {
  const timed = firesInTime(scene);
  const cylinders = Array.from({ length: scene.layout.fit.cylinders }, (_, i) => {
    const spark = sparkWords(scene.layout.spark(scene, 'plug', state, i + 1));
    return { none: 1 - (1 - spark.none) * timed, weak: spark.weak };
  });
  const allDead = cylinders.reduce((p, c) => p * c.none, 1);
  const noneDead = cylinders.reduce((p, c) => p * (1 - c.none), 1);
  return {
    allDead,
    noneDead,
    someDead: Math.max(0, 1 - allDead - noneDead),
    weak: cylinders.reduce((sum, c) => sum + c.weak, 0) / cylinders.length,
    turns: logistic((scene.layout.crankingShare(scene) - CRANKS_FROM) / 0.03),
  };
}
