import { nowOf as conditionsNow, type Conditions, type House, type MachineBody } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import type { JobInput } from '../../tracer/worker.ts';

/** What a trace is asked with: what was warned of and understood tells nothing of the machine. */
export const inputOf = (stored: StoredJob, machine: MachineBody, house: House): JobInput => ({
  machine,
  house,
  complaint: stored.job.complaint,
  events: stored.events.filter((e) => e.type !== 'care'),
});

/** How things stand now, by the job's own readings. */
export const nowOf = (stored: StoredJob): Conditions => conditionsNow(stored.job, stored.events);
