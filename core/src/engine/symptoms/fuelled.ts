import { logistic } from '../../random/lcg.ts';
import { FAST, IDLE } from '../../machine/state.ts';
import { idleRpm } from '../speeds.ts';
import { sparksMissing, starts } from '../howItRuns.ts';
import { idlesWrong } from '../idle.ts';
import { burns } from '../burns.ts';
import { pullsWell, stallsAndGoes } from '../mixture.ts';
import type { Symptom } from './symptom.ts';

/** Of engines whose sparks fail as they are opened up, those of which it is said that they do not pull. Judgement. */
const SPARKS_FAIL = 0.4;
/** Under this share of its idle it does not keep turning. */
const STALLS_UNDER = 0.55;
/** Smells of fuel, drips from the carburettor, black smoke; wet plugs. */
export const floods: Symptom = {
  id: 'floods',
  likelihood: (scene) => {
    const rich = logistic((scene.see('richness', IDLE) - 1.45) / 0.08);
    return 0.002 + 0.9 * scene.see('floods', IDLE) + 0.6 * (1 - scene.see('floods', IDLE)) * rich;
  },
  elsewhere: { fuel: 0.35, spark: 0.04, air: 0.03, compression: 0.01 },
};

/** Runs for some minutes, stalls, and goes again when it has stood. */
export const stalls: Symptom = {
  id: 'stalls',
  likelihood: (scene) => 0.003 + 0.9 * stallsAndGoes(scene) * starts(scene),
  elsewhere: { fuel: 0.4, spark: 0.08, air: 0.02, stop: 0.02 },
};

/** Idles, and has no strength: flat on the pedal, starves on the hill. */
export const noPull: Symptom = {
  id: 'no-pull',
  likelihood: (scene) => {
    const idles = burns(scene.see('richness', IDLE), IDLE);
    const flat = 0.75 * scene.see('hesitates', FAST);
    const opened = SPARKS_FAIL * sparksMissing(scene, FAST);
    return 0.004 + 0.85 * idles * (1 - pullsWell(scene) * (1 - flat) * (1 - opened)) * starts(scene);
  },
  elsewhere: { fuel: 0.3, air: 0.25, timing: 0.3, compression: 0.25, spark: 0.08 },
};

/** Idles too fast, too slowly, or hunts. */
export const idleWrong: Symptom = {
  id: 'idle-wrong',
  likelihood: (scene) => 0.004 + 0.85 * idlesWrong(scene) * starts(scene),
  elsewhere: { air: 0.45, fuel: 0.2, timing: 0.12, compression: 0.05, spark: 0.03 },
};

/** Runs with the throttle open, stops as soon as it is shut. */
export const noIdle: Symptom = {
  id: 'no-idle',
  likelihood: (scene) => {
    const fast = burns(scene.see('richness', FAST), FAST);
    const stalls = logistic((STALLS_UNDER - scene.see('idles', IDLE).rpm / idleRpm(scene.machine.fit)) / 0.05);
    return 0.004 + 0.85 * fast * Math.max(stalls, 1 - burns(scene.see('richness', IDLE), IDLE)) * starts(scene);
  },
  elsewhere: { fuel: 0.35, air: 0.4, timing: 0.08, compression: 0.08, spark: 0.04 },
};
