import type { JobEvent } from '../schema/job.ts';
import type { SheetKind, SheetOf } from '../schema/sheet.ts';

/** What a bench took down last; undefined where it took nothing down. */
export function sheetOf<K extends SheetKind>(events: readonly JobEvent[], kind: K): SheetOf<K> | undefined {
  const last = events.findLast((e) => e.type === 'sheet' && e.sheet.body.kind === kind);
  return last?.type === 'sheet' ? (last.sheet.body as SheetOf<K>) : undefined;
}
