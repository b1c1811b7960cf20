import { EMPTY_BOOK, type Book } from '@pondu/core/schema';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredMachine } from '../../api/types.ts';

/** The machine's book and how a part of it is written; what is refused is said, and stays in its box. */
export function useBookWrite(stored: StoredMachine) {
  const { mutate } = useSWRConfig();
  const book = stored.machine.book ?? EMPTY_BOOK;
  async function write(change: Partial<Book>): Promise<boolean> {
    try {
      const fresh = await call<StoredMachine>(
        'PUT',
        `/machines/${stored.id}`,
        { book: { ...book, ...change } },
        stored.version,
      );
      await mutate(`/machines/${stored.id}`, fresh, { revalidate: false });
      return true;
    } catch (error) {
      const problem = problemOf(error);
      if (problem.stale) await mutate(`/machines/${stored.id}`);
      toast.error(problem.fields[0]?.message ?? problem.message);
      return false;
    }
  }
  return { book, write };
}
