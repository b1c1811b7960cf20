import type { Known } from '../machine/known.ts';
import type { MachineState } from '../machine/part.ts';
import { burns } from './burns.ts';

/** Richness in one cylinder: what all are given, and by how much its own carburettor differs. */
export const richnessAt = (scene: Known, state: MachineState, cylinder: number): number =>
  scene.see('richness', state) * scene.see('ownMixture', state, { cylinder });

/** Of the chance that its fellows burn their charge, what is left to a cylinder by its own carburettor; 1 where that is as theirs. */
export function burnsBeside(scene: Known, state: MachineState, cylinder: number): number {
  const own = scene.see('ownMixture', state, { cylinder });
  if (own === 1) return 1;
  const theirs = burns(scene.see('richness', state), state);
  return theirs > 0 ? Math.min(1, burns(richnessAt(scene, state, cylinder), state) / theirs) : 1;
}

/** Mean over the cylinders of the chance that each burns its charge. */
export function burnsAll(scene: Known, state: MachineState): number {
  const { cylinders } = scene.machine.fit;
  let sum = 0;
  for (let c = 1; c <= cylinders; c++) sum += burns(richnessAt(scene, state, c), state);
  return sum / cylinders;
}
