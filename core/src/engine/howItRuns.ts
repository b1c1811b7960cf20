import type { Scene } from '../machine/scene.ts';
import type { MachineState } from '../machine/part.ts';
import { CRANKING } from '../machine/state.ts';
import { burns } from './burns.ts';
import { richnessAt } from './ownMixture.ts';
import { cylinderFires } from './squeeze.ts';
import { logistic } from '../random/lcg.ts';
import { sparkWords, type Enough } from '../instruments/sparkTester.ts';

/** Degrees of the crank by which a spark may be out before the engine will not fire. */
const FIRES_WITHIN = 25;

/**
 * From these a charge is lit as surely as by more. What a plug asks scatters by a tenth from one turn to the next, and a
 * third to spare is for a plug that has worn; a mixture near right takes well under a millijoule, a cold and uneven one
 * some of them [1]. Judgement.
 */
const LIGHTS: Enough = { margin: 1.15, joules: 2.5e-3 };

/** Chance that the sparks, such as they are, come near enough to their moment. */
export const firesInTime = (scene: Scene): number => {
  return logistic((FIRES_WITHIN - Math.abs(scene.see('degreesOff', CRANKING))) / 3);
};

/** What the engine makes of its sparks in one state. Chances, 0…1. */
export interface Running {
  readonly allDead: number;
  readonly someDead: number;
  readonly noneDead: number;
  /** That those that are dead, or fire against the others, keep the rest from catching. */
  readonly halted: number;
  /** Share of sparks that are there but weak. */
  readonly weak: number;
  /** That the starter turns it at all fast enough. */
  readonly turns: number;
}

/** How far it is turned for long before it catches: its bowl has run empty, or fuel stands in it. */
export const catchesLate = (scene: Scene): number =>
  Math.max(scene.see('runsEmpty', CRANKING), scene.see('drowns', CRANKING));

/** Chance that it starts at all: what idles wrongly or pulls badly has been started. */
export const starts = (scene: Scene): number => {
  const { allDead, turns } = howItRuns(scene, CRANKING);
  return turns * (1 - allDead);
};

/**
 * Mean square of the share of its work that an engine has lost: one of eight is hardly felt at the starter, one of two
 * often is, and one that fires at another's moment takes that one's work as well. Judgement, in its square.
 */
function workLost(cylinders: readonly { none: number; against: number }[]): number {
  const n = cylinders.length;
  const mean = cylinders.reduce((sum, c) => sum + c.none + c.against, 0) / n;
  const spread = cylinders.reduce((sum, c) => sum + c.none * (1 - c.none), 0) / n ** 2;
  return Math.min(1, mean ** 2 + spread);
}

/** Chance that a spark fails on some cylinder in this state, whatever the mixture. */
export const sparksMissing = (scene: Scene, state: MachineState): number =>
  1 -
  Array.from({ length: scene.machine.fit.cylinders }, (_, i) =>
    sparkWords(scene.spark('plug', state, i + 1), LIGHTS),
  ).reduce((p, { none, weak }) => p * (1 - none) * (1 - 0.3 * weak), 1);

/** Fires or not on each cylinder: the volts that are there against those asked, their moment, the mixture, the squeeze. */
export function howItRuns(scene: Scene, state: MachineState): Running {
  const timed = firesInTime(scene) * (1 - scene.see('fuelCut', state));
  const cylinders = Array.from({ length: scene.machine.fit.cylinders }, (_, i) => {
    const spark = sparkWords(scene.spark('plug', state, i + 1), LIGHTS);
    const burning = burns(richnessAt(scene, state, i + 1), state) * scene.see('kindles', state, { cylinder: i + 1 });
    const none = 1 - (1 - spark.none) * timed * burning * cylinderFires(scene, state, i + 1);
    const against = (1 - spark.none) * scene.see('offStroke', state, { cylinder: i + 1 });
    return { none, against, weak: spark.weak };
  });
  const allDead = cylinders.reduce((p, c) => p * c.none, 1);
  const noneDead = cylinders.reduce((p, c) => p * (1 - c.none), 1);
  return {
    allDead,
    noneDead,
    halted: Math.max(0, workLost(cylinders) - allDead),
    someDead: Math.max(0, 1 - allDead - noneDead),
    weak: cylinders.reduce((sum, c) => sum + c.weak, 0) / cylinders.length,
    turns: scene.see('turns', CRANKING),
  };
}
