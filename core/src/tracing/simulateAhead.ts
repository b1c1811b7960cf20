import type { Complaint } from '../schema/job.ts';
import type { Weigher } from './belief.ts';

/**
 * What the first trace of a complaint asks of a machine, played in pieces of some milliseconds: whoever runs it does
 * something else between them. After the last, that trace plays none of it again.
 */
export function* simulateAhead(weigher: Weigher, complaint: Complaint): Generator<void> {
  const { alone } = weigher;
  for (const faults of alone) {
    weigher.complaintShare(faults, complaint);
    yield;
  }
  for (const check of weigher.model.checks)
    for (const faults of alone) {
      weigher.ensemble(faults).predict(check);
      yield;
    }
}
