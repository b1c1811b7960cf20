import type { CheckView, ModelView, Move } from '@pondu/core';
import { useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { minutesWords } from '../../words/belief.ts';

/** So many are listed while nothing is looked for and no station is picked. */
const AT_FIRST = 12;

/** Every check that can be made here, by the station picked on the map or by its name; in no order of advice. */
export function CheckChoice({
  checks,
  stations,
  station,
  done,
  onChoose,
}: {
  checks: readonly CheckView[];
  stations: ModelView['stations'];
  station: string | undefined;
  done: readonly Move[];
  onChoose: (checkId: string) => void;
}) {
  const [q, setQ] = useState('');
  const [all, setAll] = useState(false);
  const words = q.toLowerCase().split(/\s+/).filter(Boolean);
  const labelOf = (id: string) => stations.find((s) => s.id === id)?.label ?? '';
  const meets = (c: CheckView) => words.every((w) => `${c.label} ${labelOf(c.station)}`.toLowerCase().includes(w));
  const found = checks.filter((c) => (station === undefined || c.station === station) && meets(c));
  const narrowed = station !== undefined || words.length > 0 || all;
  const shown = narrowed ? found : found.slice(0, AT_FIRST);
  const made = new Set(done.flatMap(({ ask }) => (ask.kind === 'check' ? [ask.checkId] : [])));
  return (
    <section aria-label="Checks" className="card grid gap-2 p-3">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="grow text-lg">
          {station ? `Checks at ${labelOf(station).toLowerCase()}` : 'What will you check?'}
        </h2>
        <SearchField label="Search checks" onSearch={setQ} />
      </div>
      {shown.length === 0 && (
        <p className="text-soft">
          {station ? 'No check is made here by itself; its neighbours tell.' : 'No check by that name.'}
        </p>
      )}
      <ul className="grid gap-1 sm:grid-cols-2">
        {shown.map((c) => (
          <li key={c.id}>
            <Button className="w-full !justify-start text-left leading-tight" onClick={() => onChoose(c.id)}>
              <span className="grow">{c.label}</span>
              <span className="condensed shrink-0 text-[13px] text-soft">
                {made.has(c.id) ? 'done' : minutesWords(c.minutes)}
              </span>
            </Button>
          </li>
        ))}
      </ul>
      {!narrowed && found.length > AT_FIRST && (
        <Button look="quiet" className="justify-self-start" onClick={() => setAll(true)}>
          Show all {found.length}
        </Button>
      )}
    </section>
  );
}
