import { complaintElsewhere, eachSymptom } from '../engine/complaint.ts';
import type { Complaint } from '../schema/job.ts';
import type { TrailName } from '../schema/symptoms.ts';
import type { ModelFault } from './model.ts';

/** p(symptom | this fault alone), of a complaint of that symptom. */
type Brings = (fault: ModelFault, complaint: Complaint) => number;

/**
 * How far each of several faults accounts for the complaint, 0…1: for that symptom of it for which it does so best, as
 * often as it brings it against what brings it most. What is only there besides has next to none.
 */
export function blameOf(
  faults: readonly ModelFault[],
  elsewhere: TrailName | undefined,
  complaint: Complaint,
  brings: Brings,
): readonly number[] {
  if (faults.length === 0 || (faults.length === 1 && !elsewhere)) return faults.map(() => 1);
  const blame = faults.map(() => 0);
  for (const told of eachSymptom(complaint)) {
    const each = faults.map((f) => brings(f, told));
    const most = Math.max(...each, elsewhere ? complaintElsewhere(told, elsewhere) : 0);
    each.forEach((share, i) => (blame[i] = Math.max(blame[i]!, share / most)));
  }
  return blame;
}
