import type { Snag } from '@pondu/core';
import { useMemo } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import { overlaid } from '../offline/overlay.ts';
import { outbox, useOutbox } from '../offline/outbox.ts';
import { get } from './client.ts';
import { jobMade } from './newJob.ts';
import type {
  BackupsView,
  Door,
  JobRow,
  JournalEntry,
  MachineRow,
  Page,
  StoredHouse,
  StoredJob,
  StoredMachine,
} from './types.ts';

const options = { keepPreviousData: true, revalidateOnFocus: true, dedupingInterval: 500 };

/** A snag with the job on which it was noticed. */
export type OpenSnag = Snag & { jobId: string };

const PAGE = 30;

export interface MachinesAsked {
  away?: boolean;
  q?: string;
  after?: string | undefined;
}
export interface JobsAsked extends MachinesAsked {
  stage?: 'open' | 'closed' | 'any';
  held?: 'yes' | 'no';
  machine?: string;
}
const queryOf = (asked: object) =>
  [...Object.entries(asked).filter(([, v]) => v !== undefined && v !== ''), ['limit', PAGE] as const]
    .map(([k, v]) => `${k}=${encodeURIComponent(String(v))}`)
    .join('&');

/** One page of a list; the one after it is asked for with `next` of this. */
export const useJobRows = (asked: JobsAsked) => useSWR<Page<JobRow>>(`/jobs?${queryOf(asked)}`, get, options);
export const useMachineRows = (asked: MachinesAsked) =>
  useSWR<Page<MachineRow>>(`/machines?${queryOf(asked)}`, get, options);
export const useMachine = (id: string | undefined) =>
  useSWR<StoredMachine>(id ? `/machines/${id}` : null, get, options);
export const useMachineSnags = (id: string | undefined) =>
  useSWR<OpenSnag[]>(id ? `/machines/${id}/snags` : null, get, options);
export const useMachineBook = (id: string | undefined) =>
  useSWR<StoredJob[]>(id ? `/machines/${id}/book` : null, get, options);
export const useHouse = () => useSWR<StoredHouse>('/house', get, options);
export const useDoor = () => useSWR<Door>('/door', get, options);
export const useBackups = () => useSWR<BackupsView>('/backups', get, options);
export const useJournal = () => useSWR<JournalEntry[]>('/journal', get, options);

/** A job with what waits here to go up to it. */
export function useJob(id: string | undefined) {
  const found = useSWR<StoredJob>(id ? `/jobs/${id}` : null, jobMade, options);
  const entries = useOutbox();
  const data = useMemo(() => found.data && overlaid(found.data, entries), [found.data, entries]);
  return { ...found, data };
}

/** Writes to a job on the version that is on screen, and puts the answer in its place; without a signal it waits. */
export function useJobWrites(stored: StoredJob) {
  const { mutate } = useSWRConfig();
  /** Gives the version that the job has after it: the next of several in a row follows upon that. */
  return async (
    method: 'POST' | 'PATCH',
    path: string,
    body: Record<string, unknown>,
    version = stored.version,
  ): Promise<number> => {
    const sent = await outbox.enter({ jobId: stored.id, method, path, body, version });
    if (sent.state !== 'sent') return version;
    await mutate(`/jobs/${stored.id}`, sent.job, { revalidate: false });
    return sent.job.version;
  };
}
