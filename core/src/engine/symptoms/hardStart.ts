import { CRANKING } from '../../machine/state.ts';
import { logistic } from '../../random/lcg.ts';
import { catchesLate, howItRuns } from '../howItRuns.ts';
import { unheated } from '../squeeze.ts';
import type { Symptom } from './symptom.ts';

/** Degrees by which the spark may be out before it catches unwillingly. */
const HARD_FROM = 13;
/** Of engines that turn slowly, and of those that hardly turn or not at all, those that are called hard to start. Judgement. */
const TURNS_BADLY = { slowly: 0.4, not: 0.06 } as const;
/** The same of those whose fuel has run back as they stood: they are cranked until it is there again. */
const CRANKED_LONG = 0.6;

/** Catches late or unwillingly. */
export const hardStart: Symptom = {
  id: 'hard-start',
  likelihood: (scene) => {
    const { allDead, someDead, noneDead, weak, turns } = howItRuns(scene, CRANKING);
    // Turned for long it warms itself by what it squeezes, and goes in the end.
    const cold = 0.7 * (1 - allDead) * unheated(scene);
    const late = logistic((Math.abs(scene.see('degreesOff', CRANKING)) - HARD_FROM) / 2);
    const felt = noneDead * (0.7 * weak ** 2 + 0.5 * late) + 0.15 * someDead + 0.1 * allDead;
    const slowly = Math.min(1 - turns, scene.see('cranking', CRANKING)['turns slowly']);
    const turned = TURNS_BADLY.slowly * slowly + TURNS_BADLY.not * (1 - turns - slowly);
    const long = CRANKED_LONG * (1 - allDead) * catchesLate(scene);
    return 0.01 + Math.max(felt, cold, long) + turned;
  },
  elsewhere: { spark: 0.15, fuel: 0.35, air: 0.2, timing: 0.12, compression: 0.3, crank: 0.1, charge: 0.1 },
};
