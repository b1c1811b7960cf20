import { format } from 'date-fns';
import { Link } from 'react-router';
import type { StoredJob, StoredMachine } from '../../api/types.ts';
import { complaintWords } from '../../words/complaint.ts';

export function ClosedJobs({
  jobs,
  machines,
}: {
  jobs: readonly StoredJob[];
  machines: ReadonlyMap<string, StoredMachine>;
}) {
  return (
    <ul className="card mt-3 divide-y divide-rule">
      {jobs.map((j) => (
        <li key={j.id}>
          <Link
            to={`/jobs/${j.id}/card`}
            className="flex min-h-12 flex-wrap items-center gap-x-4 px-4 py-2 hover:bg-sunk"
          >
            <span className="font-semibold">{machines.get(j.machineId)?.machine.name ?? 'A machine put away'}</span>
            <span>{complaintWords(j.job.complaint)}</span>
            <span className="text-soft">{j.job.closedAt && format(new Date(j.job.closedAt), 'd MMM yyyy')}</span>
            {j.job.closedBecause && <span className="text-warn">closed unproved</span>}
          </Link>
        </li>
      ))}
    </ul>
  );
}
