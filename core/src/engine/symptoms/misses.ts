import { RUNNING } from '../../machine/state.ts';
import { howItRuns, type Running } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

const felt = ({ someDead, noneDead, weak }: Running): number => 0.003 + 0.8 * someDead + noneDead * 0.3 * weak;

/** Runs, but not on every cylinder. */
export const misses: Symptom = {
  id: 'misses',
  likelihood: (scene) => felt(howItRuns(scene, RUNNING)),
  // All sparks gone for a moment: the engine turns on, and it is felt as a miss.
  momentary: (scene) => {
    const runs = howItRuns(scene, RUNNING);
    return felt(runs) + 0.5 * runs.allDead;
  },
  elsewhere: { spark: 0.25, fuel: 0.2, air: 0.15, timing: 0.06, compression: 0.15, charge: 0.02 },
};
