import type { Complaint } from '../schema/job.ts';
import type { ModelFault } from './model.ts';
import type { Tracer } from './trace.ts';

const SYMPTOMS = ['no-fire', 'misses', 'hard-start'] as const;

/** The complaint that something finds likeliest. */
export function likeliestComplaint(
  share: (complaint: Complaint) => number,
  pattern: Complaint['pattern'] = 'constant',
): Complaint {
  const complaints = SYMPTOMS.map((symptom): Complaint => ({ symptom, pattern, words: '', since: '', before: '' }));
  return complaints.sort((a, b) => share(b) - share(a))[0]!;
}

/** The complaint that machines with these faults would bring in: the one that the model finds likeliest of them. */
export const likelyComplaint = (
  tracer: Tracer,
  faults: readonly ModelFault[],
  pattern?: Complaint['pattern'],
): Complaint => likeliestComplaint((complaint) => tracer.weigher.complaintShare(faults, complaint), pattern);
