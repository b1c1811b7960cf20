import type { JobEvent, Landing } from '@pondu/core';
import { format } from 'date-fns';
import { trailOf, type Trails } from '../../words/byTrail.ts';
import { checkOf, labelOf, type Checks } from '../../words/checks.ts';
import { TRAIL_LABELS } from '../../words/trails.ts';
import { readingWords } from './Log.tsx';
import { showBand } from '../../units/quantity.ts';

/** Readings before and after each repair, with what they should be; corrected ones are left out. */
export function CardReadings({
  events,
  checks,
  trails,
  wells,
}: {
  events: readonly JobEvent[];
  checks: Checks;
  /** What each check read should show, by its id. */
  wells: Readonly<Record<string, Landing>>;
  trails: Trails;
}) {
  const superseded = new Set(
    events.flatMap((e) => (e.type === 'reading' && e.reading.supersedes ? [e.reading.supersedes] : [])),
  );
  const rows = events.filter(
    (e) => e.type === 'fix' || e.type === 'aside' || (e.type === 'reading' && !superseded.has(e.reading.id)),
  );
  if (rows.length === 0) return <p>None yet.</p>;
  const wellWords = (id: string): string => {
    const check = checkOf(checks, id);
    const well = wells[id];
    if (!check || !well) return '';
    if (check.dimension === null) return Object.entries(well.words).sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
    return well.openShare === 1 ? 'OL' : showBand(well.low, well.high, check.dimension);
  };
  const trailWords = (id: string): string => {
    const check = checkOf(checks, id);
    const trail = check && trailOf(trails, check.station);
    return trail ? TRAIL_LABELS[trail] : '';
  };
  return (
    <table className="w-full">
      <thead>
        <tr className="tag text-left">
          <th>When</th>
          <th>Check</th>
          <th>Read</th>
          <th>Should be</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((e) =>
          e.type === 'fix' ? (
            <tr key={e.fix.id} className="border-t border-rule bg-sunk">
              <td colSpan={4} className="font-semibold">
                {e.fix.what}
              </td>
            </tr>
          ) : e.type === 'aside' ? (
            <tr key={e.aside.id} className="border-t border-rule align-top">
              <td className="whitespace-nowrap pr-3">{format(new Date(e.aside.at), 'd MMM HH:mm')}</td>
              <td className="pr-3">{labelOf(checks, e.aside.checkId)}</td>
              <td colSpan={2}>could not tell</td>
            </tr>
          ) : e.type === 'reading' ? (
            <tr key={e.reading.id} className="border-t border-rule align-top">
              <td className="whitespace-nowrap pr-3">{format(new Date(e.reading.at), 'd MMM HH:mm')}</td>
              <td className="pr-3">
                {labelOf(checks, e.reading.checkId)}
                {trails.length > 1 && <span className="tag ml-2">{trailWords(e.reading.checkId)}</span>}
              </td>
              <td className="pr-3 font-semibold">
                {readingWords(e.reading, checkOf(checks, e.reading.checkId))}
                {e.reading.warmth === 'hot' && ' (hot)'}
              </td>
              <td>{wellWords(e.reading.checkId)}</td>
            </tr>
          ) : null,
        )}
      </tbody>
    </table>
  );
}
