import type { House, MachineBody } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import type { JobInput } from '../../tracer/worker.ts';

/** What every stage of a job is given. */
export interface JobPlace {
  stored: StoredJob;
  machine: MachineBody;
  house: House;
  input: JobInput;
}
