import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { useJobRows, type JobsAsked } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { JobRow } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { complaintWords, STAGE_LABELS } from '../../words/complaint.ts';

/** Jobs a line each, a page at a time. */
export function JobList({ asked, none }: { asked: JobsAsked; none: string }) {
  return (
    <ul className="card mt-3 divide-y divide-rule">
      <Rows asked={asked} none={none} />
    </ul>
  );
}

function Rows({ asked, none }: { asked: JobsAsked; none?: string }) {
  const { data, error, mutate } = useJobRows(asked);
  const [more, setMore] = useState(false);
  if (error && !data)
    return (
      <li>
        <Failed error={error} retry={() => void mutate()} />
      </li>
    );
  if (!data)
    return (
      <li>
        <Loading what="Looking them up" />
      </li>
    );
  if (data.rows.length === 0 && none) return <li className="p-4 text-soft">{none}</li>;
  return (
    <>
      {data.rows.map((row) => (
        <li key={row.id}>
          <Row row={row} named={asked.machine === undefined} changed={() => void mutate()} />
        </li>
      ))}
      {data.next !== null &&
        (more ? (
          <Rows asked={{ ...asked, after: data.next }} />
        ) : (
          <li className="p-2">
            <Button onClick={() => setMore(true)}>Show more</Button>
          </li>
        ))}
    </>
  );
}

/** On a machine's own page its name is not said again. */
function Row({ row, named, changed }: { row: JobRow; named: boolean; changed: () => void }) {
  const { job } = row;
  if (!job)
    return (
      <p className="px-4 py-3 text-danger">
        {row.machineName}: this job cannot be read as it is stored ({row.unreadable}). It is kept, and in every backup.
      </p>
    );
  const about = (
    <>
      {named && (
        <span className="font-semibold" translate="no">
          {row.machineName}
        </span>
      )}
      <span className="grow">{complaintWords(job.complaint)}</span>
      <span className="tag">{STAGE_LABELS[job.stage]}</span>
      <span className="text-soft">{format(new Date(job.closedAt ?? job.openedAt), 'd MMM yyyy')}</span>
      {job.closedBecause && <span className="text-warn">closed unproved</span>}
    </>
  );
  const line = 'flex min-h-12 flex-wrap items-center gap-x-4 px-4 py-2';
  if (row.awayAt === null)
    return (
      <Link to={`/jobs/${row.id}${job.stage === 'closed' ? '/card' : ''}`} className={`${line} hover:bg-sunk`}>
        {about}
      </Link>
    );
  async function bringBack() {
    try {
      await call('POST', `/jobs/${row.id}/restore`);
      changed();
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <div className={line}>
      {about}
      <Button onClick={() => void bringBack()}>Bring it back</Button>
    </div>
  );
}
