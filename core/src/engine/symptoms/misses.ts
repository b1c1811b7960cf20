import { RUNNING } from '../../machine/state.ts';
import { howItRuns } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

/** Runs, but not on every cylinder. */
export const misses: Symptom = {
  id: 'misses',
  likelihood: (scene) => {
    const { someDead, noneDead, weak } = howItRuns(scene, RUNNING);
    return 0.003 + 0.8 * someDead + noneDead * 0.3 * weak;
  },
  // All sparks gone for a moment: the engine turns on, and it is felt as a miss.
  momentary: (scene) => {
    const { allDead, someDead, noneDead, weak } = howItRuns(scene, RUNNING);
    return 0.003 + 0.5 * allDead + 0.8 * someDead + noneDead * 0.3 * weak;
  },
  elsewhere: { spark: 0.25, fuel: 0.2, air: 0.15, timing: 0.06, compression: 0.15, charge: 0.02 },
};
