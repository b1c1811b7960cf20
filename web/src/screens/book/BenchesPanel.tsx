import type { JobEvent } from '@pondu/core';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { sheetWords, type SheetWords } from '../../words/sheets.ts';

/** A job with all that happened on it. */
interface Happened {
  readonly id: string;
  readonly events: readonly JobEvent[];
}
interface Taken extends SheetWords {
  readonly at: string;
  readonly jobId: string;
}

/** Of each bench what it took down last, on whichever job; the newest first. */
export function takenDown(jobs: readonly Happened[]): Taken[] {
  const all = jobs.flatMap(({ id, events }) =>
    events.flatMap((e): Taken[] => {
      const words = e.type === 'sheet' ? sheetWords(e.sheet.body) : undefined;
      return e.type === 'sheet' && words ? [{ ...words, at: e.sheet.at, jobId: id }] : [];
    }),
  );
  const newest = all.sort((a, b) => b.at.localeCompare(a.at));
  return newest.filter((t, k) => newest.findIndex((o) => o.title === t.title) === k);
}

/** What was taken down at the bench, with what it was read and on which job. */
export function BenchesPanel({ jobs }: { jobs: readonly Happened[] }) {
  const taken = takenDown(jobs);
  if (taken.length === 0) return null;
  return (
    <section className="card grid gap-2 p-4" aria-label="At the bench">
      <h2 className="text-lg">At the bench</h2>
      <dl className="grid gap-1">
        {taken.map(({ title, with: by, lines, at, jobId }) => (
          <div key={title} className="border-t border-rule pt-1 sm:grid sm:grid-cols-[16rem_1fr_auto] sm:gap-3">
            <dt>
              {title} <span className="text-soft">({by})</span>
            </dt>
            <dd>{lines.join('; ')}</dd>
            <dd className="text-soft">
              <Link className="inline-flex min-h-12 items-center underline" to={`/jobs/${jobId}/card`}>
                {format(new Date(at), 'd MMM yyyy')}
              </Link>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
