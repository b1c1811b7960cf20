import { sheetOf, type JobEvent, type SheetKind } from '@pondu/core';
import { sheetWords, type SheetWords } from '../../words/sheets.ts';

/** In the order in which a machine is set up; what has no words of its own is told elsewhere on the card. */
const PLACES: Readonly<Record<SheetKind, number>> = {
  valves: 0,
  points: 1,
  tips: 2,
  top: 3,
  leads: 4,
  static: 5,
  found: 6,
  pump: 7,
  road: 8,
  float: 9,
  mixture: 10,
  gas: 11,
  carburettor: 12,
  charging: 13,
  drain: 14,
  battery: 15,
  heat: 16,
  prove: 17,
};
const KINDS = (Object.keys(PLACES) as SheetKind[]).sort((a, b) => PLACES[a] - PLACES[b]);

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
