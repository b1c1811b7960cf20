import { ArrowRight, CloudUpload, Hourglass } from 'lucide-react';
import { format, isPast, isToday } from 'date-fns';
import { Link } from 'react-router';
import type { JobRow } from '../../api/types.ts';
import { useLink } from '../../offline/link.ts';
import { useOutbox } from '../../offline/outbox.ts';
import { percent } from '../../words/belief.ts';
import { complaintWords, STAGE_LABELS, WAITS } from '../../words/complaint.ts';
import { MiniTrail } from './MiniTrail.tsx';
import { useWanted } from './useWanted.ts';

/** One open job: its machine, complaint, where its trail goes cold, and what comes next. */
export function Bay({ row }: { row: JobRow }) {
  const seen = useWanted(row);
  const gone = useLink() === 'gone';
  const waiting = useOutbox().filter((e) => e.jobId === row.id).length;
  const { job, summary } = row;
  if (!job) return <Unreadable name={row.machineName} why={row.unreadable ?? ''} />;
  const bay = summary?.ok ? summary.bay : undefined;
  const waits = job.waitsFor && WAITS.find((w) => w.value === job.waitsFor)?.label;
  return (
    <li ref={seen} className="card overflow-hidden">
      <Link to={`/jobs/${row.id}`} className="block p-4 hover:bg-sunk/40">
        <div className="flex items-baseline justify-between gap-3">
          <h2 className="text-lg" translate="no">
            {row.machineName}
          </h2>
          <span className="tag shrink-0">{STAGE_LABELS[job.stage]}</span>
        </div>
        <p className="mb-3">{complaintWords(job.complaint)}</p>
        {bay ? <MiniTrail stations={bay.stations} states={bay.states} /> : <div className="h-8" />}
        <p className="mt-2 min-h-6 text-[15px]">
          {summary?.ok === false ? (
            <span className="text-danger">{summary.message}</span>
          ) : !bay ? (
            <span className="text-soft">{gone ? 'Not worked out here yet: open it' : 'Working it out…'}</span>
          ) : bay.lost ? (
            <>
              <span className="font-semibold text-lost">
                {bay.lost.part} {bay.lost.how}
              </span>{' '}
              {percent(bay.lost.share)}
            </>
          ) : (
            <span className="text-soft">No leading suspect yet</span>
          )}
        </p>
        <p className="mt-2 flex min-h-8 items-center gap-2 font-semibold">
          {waits ? (
            <>
              <Hourglass aria-hidden className="size-5 shrink-0 text-warn" />{' '}
              <span className="text-warn">
                {waits}
                {job.dueAt ? dueWords(job.dueAt) : job.waitsSince && sinceWords(job.waitsSince)}
              </span>
            </>
          ) : (
            bay && (
              <>
                <ArrowRight aria-hidden className="size-5 shrink-0 text-do" /> {bay.next}
              </>
            )
          )}
        </p>
        {waiting > 0 && (
          <p className="flex items-center gap-2 text-[14px] text-warn">
            <CloudUpload aria-hidden className="size-5 shrink-0" /> {waiting} not in the workshop yet
          </p>
        )}
      </Link>
    </li>
  );
}

/** When it can go on: today by the clock, later by the day as well. */
function dueWords(dueAt: string): string {
  const at = new Date(dueAt);
  if (isPast(at)) return ': its time has come';
  return isToday(at) ? ` until ${format(at, 'HH:mm')}` : ` until ${format(at, 'EEE d MMM, HH:mm')}`;
}

/** Since when it waits: today it is new, later it is told by the day. */
function sinceWords(waitsSince: string): string {
  const at = new Date(waitsSince);
  return isToday(at) ? '' : ` since ${format(at, 'EEE d MMM')}`;
}

function Unreadable({ name, why }: { name: string; why: string }) {
  return (
    <li className="card p-4">
      <h2 className="text-lg">{name}</h2>
      <p className="text-danger">This job cannot be read as it is stored ({why}). It is kept, and in every backup.</p>
    </li>
  );
}
