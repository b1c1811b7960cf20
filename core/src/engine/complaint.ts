import { CRANKING } from '../trails/spark/checks/index.ts';
import { howItRuns } from '../instruments/index.ts';
import type { Scene } from '../machine/scene.ts';
import type { Complaint } from '../schema/job.ts';

const RUNNING = { key: 'run', points: 'turning' } as const;

/** p(complaint | this machine): the complaint is the first reading, predicted by the same model as every other. */
export function complaintLikelihood(scene: Scene, { symptom }: Complaint): number {
  const cranking = symptom === 'no-fire' || symptom === 'hard-start';
  const { allDead, someDead, noneDead, weak, turns } = howItRuns(scene, cranking ? CRANKING : RUNNING);
  switch (symptom) {
    case 'no-fire':
      return 0.003 + turns * (0.9 * allDead + 0.08 * someDead + noneDead * (0.02 + 0.25 * weak));
    case 'dies':
      return 0.003 + 0.9 * allDead + 0.05 * someDead + noneDead * 0.1 * weak;
    case 'misses':
      return 0.003 + 0.8 * someDead + noneDead * 0.3 * weak;
    case 'hard-start':
      return 0.01 + noneDead * 0.7 * weak ** 2 + 0.15 * someDead + 0.1 * allDead + 0.4 * (1 - turns);
  }
}
