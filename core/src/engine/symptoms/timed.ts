import { logistic } from '../../random/lcg.ts';
import { CRANKING, FAST } from '../../machine/state.ts';
import { howItRuns } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

/** Degrees early from which a cranked engine is thrown back, and a pulling one knocks. */
const KICKS_FROM = 14;
const KNOCKS_FROM = 8;

/** Stops hard or is thrown back as the starter turns it. */
export const kicksBack: Symptom = {
  id: 'kicks-back',
  likelihood: (scene) => {
    const early = logistic((scene.see('degreesOff', CRANKING) - KICKS_FROM) / 2);
    return 0.002 + 0.8 * early * (1 - howItRuns(scene, CRANKING).allDead * 0.5);
  },
  elsewhere: { timing: 0.25, spark: 0.01, crank: 0.02, fuel: 0.005 },
};

/** Knocks or pings as it pulls. */
export const knocks: Symptom = {
  id: 'knocks',
  likelihood: (scene) => {
    const early = logistic((scene.see('degreesOff', FAST) - KNOCKS_FROM) / 1.5);
    return 0.003 + 0.85 * Math.max(early, 0.5 * scene.see('glows', FAST));
  },
  elsewhere: { timing: 0.35, fuel: 0.08, air: 0.06, compression: 0.06, spark: 0.02 },
};
