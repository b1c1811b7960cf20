import type { Complaint } from '@pondu/core';
import { v4 as uuid } from 'uuid';
import type { Entry } from '../offline/entry.ts';
import { outbox } from '../offline/outbox.ts';
import { remember } from '../offline/seen.ts';
import { get } from './client.ts';
import { problemOf } from './problem.ts';
import type { StoredJob } from './types.ts';

/** A job that has not gone up yet, as the workshop will make it. */
export const jobOf = ({ id, at, body }: Entry): StoredJob => ({
  id,
  machineId: String(body['machineId']),
  version: 1,
  updatedAt: at,
  job: {
    title: '',
    complaint: body['complaint'] as Complaint,
    stage: 'look',
    waitsFor: '',
    openedAt: at,
    closedAt: null,
    closedBecause: '',
  },
  events: [],
  snags: [],
  unreadable: 0,
});

const madeHere = (id: string): Entry | undefined =>
  outbox.entries.find((e) => e.path === '/jobs' && e.id === id && e.state === 'waiting');

/** A job by its address; one that still waits here is there all the same. */
export async function jobMade(path: string): Promise<StoredJob> {
  const entry = madeHere(path.replace('/jobs/', ''));
  if (entry) return jobOf(entry);
  try {
    return await get<StoredJob>(path);
  } catch (error) {
    throw problemOf(error);
  }
}

/** Opens a job, here first: its id is known before the workshop has heard of it. */
export async function openJob(machineId: string, complaint: Complaint): Promise<string> {
  const id = uuid();
  const sent = await outbox.enter({
    jobId: id,
    method: 'POST',
    path: '/jobs',
    body: { id, machineId, complaint },
    version: undefined,
  });
  if (sent.state === 'sent') remember(`/jobs/${id}`, sent.job);
  return id;
}
