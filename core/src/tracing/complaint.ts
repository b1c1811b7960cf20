import { CRANKING } from '../checks/index.ts';
import { sparkWords } from '../instruments/index.ts';
import type { Scene } from '../layouts/index.ts';
import { logistic } from '../random/lcg.ts';
import type { Complaint } from '../schema/job.ts';

const RUNNING = { key: 'run', points: 'turning' } as const;

/** Below this share of the nominal voltage the starter does not turn the engine fast enough to speak of "cranks". */
const CRANKS_FROM = 0.58;

/** Degrees of the crank by which a spark may be out before the engine will not fire. */
const FIRES_WITHIN = 25;
/** Chance that the sparks, such as they are, come near enough to their moment. */
export const firesInTime = (scene: Scene): number => {
  const off = scene.layout.outOfTime?.(scene);
  return off === undefined ? 1 : logistic((FIRES_WITHIN - Math.abs(off)) / 3);
};

/**
 * p(complaint | this machine): the complaint is the first reading, predicted by the same model as every other.
 * Fires or not on each cylinder, from the voltage that is there against the voltage that is asked.
 */
export function complaintLikelihood(scene: Scene, complaint: Complaint): number {
  const cranking = complaint.symptom === 'no-fire' || complaint.symptom === 'hard-start';
  const state = cranking ? CRANKING : RUNNING;
  const timed = firesInTime(scene);
  const cylinders = Array.from({ length: scene.layout.fit.cylinders }, (_, i) => {
    const spark = sparkWords(scene.layout.spark(scene, 'plug', state, i + 1));
    return { none: 1 - (1 - spark.none) * timed, weak: spark.weak };
  });
  const allDead = cylinders.reduce((p, c) => p * c.none, 1);
  const noneDead = cylinders.reduce((p, c) => p * (1 - c.none), 1);
  const someDead = Math.max(0, 1 - allDead - noneDead);
  const weak = cylinders.reduce((sum, c) => sum + c.weak, 0) / cylinders.length;
  const turns = logistic((scene.layout.crankingShare(scene) - CRANKS_FROM) / 0.03);
  switch (complaint.symptom) {
    case 'no-fire':
      return 0.003 + turns * (0.9 * allDead + 0.08 * someDead + noneDead * (0.02 + 0.25 * weak));
    case 'dies':
      return 0.003 + 0.9 * allDead + 0.05 * someDead + noneDead * 0.1 * weak;
    case 'misses':
      return 0.003 + 0.8 * someDead + noneDead * 0.3 * weak;
    case 'hard-start':
      return 0.01 + noneDead * 0.7 * weak + 0.15 * someDead + 0.1 * allDead + 0.4 * (1 - turns);
  }
}
