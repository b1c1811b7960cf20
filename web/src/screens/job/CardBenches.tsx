import { sheetOf, type JobEvent, type SheetKind } from '@pondu/core';
import { sheetWords, type SheetWords } from '../../words/sheets.ts';

/** In the order in which a machine is set up. */
const KINDS: readonly SheetKind[] = ['points', 'top', 'leads', 'road', 'carburettor', 'charging', 'drain'];

/** What the benches took down last on a job, each with what it was read with. */
export const benchesOf = (events: readonly JobEvent[]): SheetWords[] =>
  KINDS.flatMap((kind) => {
    const body = sheetOf(events, kind);
    return (body && sheetWords(body)) ?? [];
  });

export function CardBenches({ benches }: { benches: readonly SheetWords[] }) {
  return (
    <dl>
      {benches.map(({ title, with: by, lines }) => (
        <div key={title} className="sm:grid sm:grid-cols-[15rem_1fr] sm:gap-3">
          <dt>
            {title} <span className="text-soft">({by})</span>
          </dt>
          <dd>{lines.join('; ')}</dd>
        </div>
      ))}
    </dl>
  );
}
