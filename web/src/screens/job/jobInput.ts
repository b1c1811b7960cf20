import { nowOf as conditionsNow, type Conditions, type House, type MachineBody } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import type { JobInput } from '../../tracer/worker.ts';

export const inputOf = (stored: StoredJob, machine: MachineBody, house: House): JobInput => ({
  machine,
  house,
  complaint: stored.job.complaint,
  events: stored.events,
});

/** How things stand now, by the job's own readings. */
export const nowOf = (stored: StoredJob): Conditions => conditionsNow(stored.job, stored.events);
