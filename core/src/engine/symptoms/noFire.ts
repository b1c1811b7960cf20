import { CRANKING } from '../../machine/state.ts';
import { howItRuns } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

/** Turns over, and nothing more. */
export const noFire: Symptom = {
  id: 'no-fire',
  stands: true,
  likelihood: (scene) => {
    const { allDead, halted, someDead, noneDead, weak, turns } = howItRuns(scene, CRANKING);
    return 0.003 + turns * (0.9 * (allDead + halted) + 0.03 * someDead + noneDead * (0.02 + 0.25 * weak));
  },
  elsewhere: {
    spark: 0.4,
    fuel: 0.33,
    air: 0.08,
    timing: 0.25,
    compression: 0.12,
    crank: 0.04,
    charge: 0.02,
    stop: 0.2,
  },
};
