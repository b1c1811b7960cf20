import type { Conditions, House, MachineBody } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import type { JobInput } from '../../tracer/worker.ts';

export const inputOf = (stored: StoredJob, machine: MachineBody, house: House): JobInput => ({
  machine,
  house,
  complaint: stored.job.complaint,
  events: stored.events,
});

/** How things stood at the last reading; a constant fault is taken to be there. */
export function nowOf(stored: StoredJob): Conditions {
  const last = stored.events.findLast((e) => e.type === 'reading')?.reading;
  const present = stored.job.complaint.pattern === 'constant' ? 'yes' : 'unknown';
  // A timed soak belongs to its own reading: the part has gone on warming or cooling since.
  return { warmth: last?.warmth ?? 'unknown', faultPresent: last?.faultPresent ?? present };
}
