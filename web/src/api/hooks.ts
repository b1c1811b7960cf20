import useSWR, { useSWRConfig } from 'swr';
import { call, get } from './client.ts';
import type { StoredHouse, StoredJob, StoredMachine } from './types.ts';

const options = { keepPreviousData: true, revalidateOnFocus: true, dedupingInterval: 500 };

export const useMachines = () => useSWR<StoredMachine[]>('/machines', get, options);
export const useMachine = (id: string | undefined) =>
  useSWR<StoredMachine>(id ? `/machines/${id}` : null, get, options);
export const useJobs = () => useSWR<StoredJob[]>('/jobs', get, options);
/** Two windows on one job see each other's readings within seconds. */
export const useJob = (id: string | undefined) =>
  useSWR<StoredJob>(id ? `/jobs/${id}` : null, get, { ...options, refreshInterval: 5000 });
export const useHouse = () => useSWR<StoredHouse>('/house', get, options);

/** Writes to a job on the version that is on screen, and puts the answer in its place. */
export function useJobWrites(stored: StoredJob) {
  const { mutate } = useSWRConfig();
  return async (method: string, path: string, body: unknown): Promise<StoredJob> => {
    const fresh = await call<StoredJob>(method, `/jobs/${stored.id}${path}`, body, stored.version);
    await mutate(`/jobs/${stored.id}`, fresh, { revalidate: false });
    await mutate('/jobs');
    return fresh;
  };
}
export type JobWrite = ReturnType<typeof useJobWrites>;
