import { sheetOf, type SheetKind, type SheetOf } from '@pondu/core';
import { toast } from 'sonner';
import { useJobWrites } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';

/** What a bench takes down: a draft over what was saved last; saved, it is one more fact of the job. */
export function useSheet<K extends SheetKind>(stored: StoredJob, kind: K, empty: SheetOf<K>) {
  const saved = sheetOf(stored.events, kind);
  const [draft, setDraft, clear] = useDraft<SheetOf<K> | null>(`${stored.id}.sheet.${kind}`, null);
  const write = useJobWrites(stored);
  const sheet = draft ?? saved ?? empty;
  async function save(given: SheetOf<K> = sheet): Promise<boolean> {
    try {
      await write('POST', '/sheets', { body: given });
      clear();
      toast.success('Written down.');
      return true;
    } catch (error) {
      toast.error(problemOf(error).message);
      return false;
    }
  }
  return {
    sheet,
    put: (change: Partial<SheetOf<K>>) => setDraft({ ...sheet, ...change }),
    save,
    changed: draft !== null,
  };
}
