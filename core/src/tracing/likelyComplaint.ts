import type { Complaint } from '../schema/job.ts';
import { SYMPTOMS } from '../schema/symptoms.ts';
import type { ModelFault } from './model.ts';
import type { Tracer } from './trace.ts';

/** "Fires and dies" is what a machine that does not fire any more did before: it is told of by its owner, not drawn. */
const BROUGHT = SYMPTOMS.filter((s) => s !== 'dies');

/** The complaint that something finds likeliest. */
export function likeliestComplaint(
  share: (complaint: Complaint) => number,
  pattern: Complaint['pattern'] = 'constant',
): Complaint {
  const complaints = BROUGHT.map((symptom): Complaint => ({ symptom, pattern, words: '', since: '', before: '' }));
  return complaints.sort((a, b) => share(b) - share(a))[0]!;
}

/** The complaint that machines with these faults would bring in: the one that the model finds likeliest of them. */
export const likelyComplaint = (
  tracer: Tracer,
  faults: readonly ModelFault[],
  pattern?: Complaint['pattern'],
): Complaint => likeliestComplaint((complaint) => tracer.weigher.complaintShare(faults, complaint), pattern);
