import type { JobBody, Stage } from '@pondu/core';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';

/** Patches a job; what is refused is said in a toast, and nothing typed is lost. */
export function usePatch(stored: StoredJob) {
  const write = useJobWrites(stored);
  return async (
    patch: Partial<Pick<JobBody, 'title' | 'stage' | 'waitsFor' | 'dueAt' | 'complaint'>>,
  ): Promise<boolean> => {
    try {
      await write('PATCH', '', patch);
      return true;
    } catch (error) {
      toast.error(problemOf(error).message);
      return false;
    }
  };
}

/** Steps the job to a stage and shows it. */
export function useMoveOn(stored: StoredJob) {
  const patch = usePatch(stored);
  const go = useNavigate();
  return async (stage: Exclude<Stage, 'closed'>): Promise<void> => {
    if (stored.job.stage === stage || (await patch({ stage })))
      void go(`/jobs/${stored.id}/${stage.replace(' ', '-')}`);
  };
}
