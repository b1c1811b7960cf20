import { CRANKING, RUNNING } from '../../machine/state.ts';
import { howItRuns } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

/** Of engines that fire on the starter and die as the key is let go, those of which it is said that they do not start. */
const LET_GO = 0.25;

/** Turns over, and nothing more. */
export const noFire: Symptom = {
  id: 'no-fire',
  stands: true,
  likelihood: (scene) => {
    const { allDead, halted, someDead, noneDead, weak, turns } = howItRuns(scene, CRANKING);
    const letGo = LET_GO * howItRuns(scene, RUNNING).allDead;
    return (
      0.003 + turns * (0.9 * (allDead + halted) + 0.03 * someDead + noneDead * Math.max(0.02 + 0.25 * weak, letGo))
    );
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
