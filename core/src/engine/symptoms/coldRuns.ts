import { badUntilWarm } from '../warmingUp.ts';
import type { Symptom } from './symptom.ts';

/** Stumbles, spits back or stalls for the first minutes; well when it is warm. */
export const coldRuns: Symptom = {
  id: 'cold-runs',
  likelihood: (scene) => 0.004 + 0.85 * badUntilWarm(scene),
  elsewhere: { fuel: 0.35, air: 0.2, compression: 0.1, spark: 0.06, timing: 0.05 },
};
