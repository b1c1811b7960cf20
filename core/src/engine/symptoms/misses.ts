import type { Scene } from '../../machine/scene.ts';
import { FAST, IDLE, RUNNING } from '../../machine/state.ts';
import { howItRuns, sparksMissing, type Running } from '../howItRuns.ts';
import type { Symptom } from './symptom.ts';

const felt = ({ someDead, noneDead, weak }: Running): number => 0.003 + 0.8 * someDead + noneDead * 0.3 * weak;

/** Of engines that run, those whose sparks fail them fast of which that is said; those that shake, sound on all. Judgement. */
const FAST_ONLY = 0.75;
const SHAKES = 0.4;
/** What is felt only at speed, or as a shake. */
const feltBesides = (scene: Scene): number =>
  (1 - howItRuns(scene, RUNNING).allDead) *
  Math.max(FAST_ONLY * sparksMissing(scene, FAST), SHAKES * scene.see('uneven', IDLE));

/** Runs, but not on every cylinder. */
export const misses: Symptom = {
  id: 'misses',
  likelihood: (scene) => Math.max(felt(howItRuns(scene, RUNNING)), feltBesides(scene)),
  // All sparks gone for a moment: the engine turns on, and it is felt as a miss.
  momentary: (scene) => {
    const runs = howItRuns(scene, RUNNING);
    return felt(runs) + 0.5 * runs.allDead;
  },
  elsewhere: { spark: 0.25, fuel: 0.2, air: 0.15, timing: 0.06, compression: 0.15, charge: 0.02 },
};
