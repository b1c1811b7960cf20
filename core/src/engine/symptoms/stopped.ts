import { KEY_OFF } from '../../machine/state.ts';
import type { Symptom } from './symptom.ts';

/** Key off, or the knob pulled, and it goes on. */
export const willNotStop: Symptom = {
  id: 'will-not-stop',
  likelihood: (scene) => 0.002 + 0.95 * (1 - scene.see('stops', KEY_OFF)),
  elsewhere: { stop: 0.6, spark: 0.03, fuel: 0.01, charge: 0.01, timing: 0.01 },
};
