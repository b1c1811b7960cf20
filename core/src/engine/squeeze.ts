import { sparkWords } from '../instruments/sparkTester.ts';
import type { Known } from '../machine/known.ts';
import type { MachineState } from '../machine/part.ts';
import { CRANKING } from '../machine/state.ts';
import { logistic } from '../random/lcg.ts';
import { burnsBeside } from './ownMixture.ts';

/**
 * Share of a tight cylinder's pressure under which it does not fire: as it is turned, idling, and fast, where it leaks
 * for less long. What a spark lights asks less than what lights itself. Judgement, about the 5 bar of SOURCES, cranking.
 */
const FIRES_FROM = { spark: { crank: 0.56, idle: 0.6, fast: 0.36 }, itself: { crank: 0.72, idle: 0.66, fast: 0.5 } };
/** From so much of its pressure on a cylinder gives all its work. */
const WORKS_FROM = 0.86;

const shareOf = (scene: Known, cylinder: number): number => scene.see('compression', CRANKING, { cylinder });

/** Share of the heat for a cold start that an engine which lights itself goes without; none is asked where sparks light. */
export const unheated = (scene: Known): number => (scene.machine.fit.spark ? 0 : 1 - scene.see('heats', CRANKING));

/** Of the cylinders of a cold engine that lights itself, so many do not without heat; by judgement, at twenty degrees. */
const UNHEATED_STANDS = 0.45;
const warmEnough = (scene: Known, state: MachineState): number =>
  state.key === 'run' ? 1 : 1 - UNHEATED_STANDS * unheated(scene);

/** Chance that a cylinder squeezes its charge enough to fire, and that the spark it gets is its own. */
export function cylinderFires(scene: Known, state: MachineState, cylinder: number): number {
  const how = state.key !== 'run' ? 'crank' : state.speed === 'fast' ? 'fast' : 'idle';
  const from = FIRES_FROM[scene.machine.fit.spark ? 'spark' : 'itself'][how];
  const at = (share: number) => logistic((share - from) / 0.04);
  const squeezes = Math.min(1, at(shareOf(scene, cylinder)) / at(WORKS_FROM));
  return squeezes * warmEnough(scene, state) * (1 - scene.see('offStroke', state, { cylinder }));
}

/** Chance that a cylinder does not fire for want of spark or squeeze, whatever its moment and mixture; of each. */
export const unlitCylinders = (scene: Known, state: MachineState): number[] =>
  Array.from({ length: scene.machine.fit.cylinders }, (_, i) => {
    const { none } = sparkWords(scene.spark('plug', state, i + 1));
    return 1 - (1 - none) * cylinderFires(scene, state, i + 1);
  });

/** The same with what its own carburettor keeps it from: it does no work while its fellows do. */
export const lameCylinders = (scene: Known, state: MachineState): number[] =>
  unlitCylinders(scene, state).map((unlit, i) => 1 - (1 - unlit) * burnsBeside(scene, state, i + 1));

/** Mean over the cylinders of what they make of their charge, 1 where all are tight. */
export function squeezed(scene: Known): number {
  const { cylinders } = scene.machine.fit;
  let sum = 0;
  for (let c = 1; c <= cylinders; c++) sum += Math.min(1, shareOf(scene, c) / WORKS_FROM);
  return sum / cylinders;
}
