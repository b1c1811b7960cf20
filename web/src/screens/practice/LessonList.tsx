import type { LessonRow } from '@pondu/core';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { complaintWords } from '../../words/complaint.ts';
import { minutesWords } from '../../words/belief.ts';
import { twistWords } from '../../words/practice.ts';

/** Every lesson, the latest first. */
export function LessonList({ lessons }: { lessons: readonly LessonRow[] }) {
  return (
    <section aria-label="Lessons" className="card p-4">
      <h2 className="mb-1 text-lg">Lessons played</h2>
      <ul className="divide-y divide-rule">
        {lessons.map((l) => (
          <li key={l.id}>
            <Link
              to={`/practice/${l.id}`}
              className="flex min-h-12 flex-wrap items-center gap-x-4 gap-y-0.5 py-1.5 hover:bg-sunk"
            >
              <span className="tag w-24">{format(new Date(l.begunAt), 'd MMM HH:mm')}</span>
              <span className="grow basis-64">
                <b>{l.machine}</b>: {complaintWords(l.complaint).toLowerCase()}
              </span>
              <span className="condensed text-[14px] text-soft">
                {l.course === null ? `${twistWords(l.twists)}, seed ${l.seed}` : `lesson ${l.course}`}
                {l.by ? `, ${l.by}` : ''}
              </span>
              <span className="w-44 text-right text-[14px] font-semibold">{standWords(l)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

function standWords({ over, past, moves }: LessonRow): string {
  if (!over) return moves === 0 ? 'not begun' : `under way, ${moves} ${moves === 1 ? 'move' : 'moves'}`;
  if (!past) return 'over';
  return past.found ? `found in ${minutesWords(past.minutes)}` : 'not found';
}
