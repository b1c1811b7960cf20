import type { Complaint } from '../schema/job.ts';
import type { ModelFault } from './model.ts';
import type { Tracer } from './trace.ts';

const SYMPTOMS = ['no-fire', 'misses', 'hard-start'] as const;

/** The complaint that a machine with these faults would bring in: the one that the model finds likeliest of it. */
export function likelyComplaint(
  tracer: Tracer,
  faults: readonly ModelFault[],
  pattern: Complaint['pattern'] = 'constant',
): Complaint {
  const complaint = (symptom: (typeof SYMPTOMS)[number]): Complaint => ({
    symptom,
    pattern,
    words: '',
    since: '',
    before: '',
  });
  const share = (symptom: (typeof SYMPTOMS)[number]) => tracer.weigher.complaintShare(faults, complaint(symptom));
  return complaint([...SYMPTOMS].sort((a, b) => share(b) - share(a))[0]!);
}
