import { RUNNING } from '../../machine/state.ts';
import { stallsUnderway } from '../mixture.ts';
import { howItRuns } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

/** Runs, then stops as if switched off. */
export const dies: Symptom = {
  id: 'dies',
  likelihood: (scene) => {
    const { allDead, someDead, noneDead, weak } = howItRuns(scene, RUNNING);
    return 0.003 + 0.9 * allDead + 0.05 * someDead + noneDead * (0.1 * weak + 0.3 * stallsUnderway(scene));
  },
  elsewhere: { spark: 0.15, fuel: 0.45, air: 0.12, timing: 0.02, compression: 0.03, charge: 0.05, stop: 0.1 },
};
