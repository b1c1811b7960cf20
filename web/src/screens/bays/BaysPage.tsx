import { CloudUpload, Plus } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { useHouse, useJobRows, useMachine } from '../../api/hooks.ts';
import { jobOf } from '../../api/newJob.ts';
import type { JobRow } from '../../api/types.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import type { Entry } from '../../offline/entry.ts';
import { useOutbox } from '../../offline/outbox.ts';
import { Button } from '../../ui/Button.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { Empty, Failed, Loading } from '../../ui/States.tsx';
import { complaintWords } from '../../words/complaint.ts';
import { Bay } from './Bay.tsx';
import { useAtHand } from './useAtHand.ts';

/** Lists beside the bays are fetched when they are asked for. */
const JobList = lazy(async () => ({ default: (await import('./JobList.tsx')).JobList }));

type Other = 'closed' | 'away';

export function BaysPage() {
  usePageTitle('Bays');
  const house = useHouse();
  const [q, setQ] = useState('');
  const [other, setOther] = useState<Other>();
  const toggle = (which: Other) => setOther(other === which ? undefined : which);
  return (
    <div className="p-3 sm:p-5">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1 className="grow text-2xl" translate="no">
          {house.data?.house.shopName ?? 'Bays'}
        </h1>
        <SearchField label="Search jobs, parts, notes" onSearch={setQ} />
        <LinkButton to="/new" look="do">
          <Plus aria-hidden className="size-5" /> New job
        </LinkButton>
      </div>
      <Suspense fallback={<Loading what="Looking them up" />}>
        {q ? (
          <section aria-label="Found">
            <h2 className="mb-2 text-lg">Found for “{q}”</h2>
            <JobList
              asked={{ stage: 'any', q }}
              none="Nothing found. Each word is looked for in machines, complaints, repairs, parts, notes and snags."
            />
          </section>
        ) : (
          <>
            <ul aria-label="Can go on now" className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
              <OpenBays held="no" />
            </ul>
            <Held />
            <div className="mt-5 flex flex-wrap gap-3">
              <Button aria-expanded={other === 'closed'} onClick={() => toggle('closed')}>
                {other === 'closed' ? 'Hide' : 'Show'} closed jobs
              </Button>
              <Button aria-expanded={other === 'away'} onClick={() => toggle('away')}>
                {other === 'away' ? 'Hide' : 'Show'} jobs put away
              </Button>
            </div>
            {other === 'closed' && <JobList asked={{ stage: 'closed' }} none="No job is closed yet." />}
            {other === 'away' && <JobList asked={{ stage: 'any', away: true }} none="No job is put away." />}
          </>
        )}
      </Suspense>
    </div>
  );
}

/** A job opened without a signal has its bay before the workshop has heard of it. */
function MadeHere({ entry }: { entry: Entry }) {
  const { machineId, job } = jobOf(entry);
  const machine = useMachine(machineId);
  return (
    <li className="card">
      <Link to={`/jobs/${entry.id}`} className="block p-4 hover:bg-sunk/40">
        <h2 className="text-lg" translate="no">
          {machine.data?.machine.name ?? 'New job'}
        </h2>
        <p className="mb-3">{complaintWords(job.complaint)}</p>
        <p className="flex items-center gap-2 text-warn">
          <CloudUpload aria-hidden className="size-5 shrink-0" /> Opened here, not in the workshop yet
        </p>
      </Link>
    </li>
  );
}

/** So many bays are drawn at once; those below follow when these stand. */
const FIRST = 6;
const NONE: readonly JobRow[] = [];

/** What waits for a part, a helper or a dry day stands apart: nobody need look through it for work. */
function Held() {
  const held = useJobRows({ stage: 'open', held: 'yes' });
  if (!held.data?.rows.length) return null;
  return (
    <section aria-labelledby="held" className="mt-5">
      <h2 id="held" className="mb-2 text-lg">
        Waiting for something
      </h2>
      <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
        <OpenBays held="yes" />
      </ul>
    </section>
  );
}

/** A page of bays, and the one after it when it is asked for. */
function OpenBays({ held, after }: { held: 'yes' | 'no'; after?: string }) {
  const jobs = useJobRows({ stage: 'open', held, after });
  const others = useJobRows({ stage: 'open', held: 'yes' });
  const [more, setMore] = useState(false);
  useAtHand(jobs.data?.rows);
  const rows = jobs.data?.rows ?? NONE;
  const drawn = useDeferredValue(rows, rows.slice(0, FIRST));
  const made = useOutbox().filter((e) => e.path === '/jobs' && e.state === 'waiting');
  if (jobs.error && !jobs.data)
    return (
      <li className="col-span-full">
        <Failed error={jobs.error} retry={() => void jobs.mutate()} />
      </li>
    );
  if (!jobs.data)
    return (
      <li className="col-span-full">
        <Loading what="Opening the bays" />
      </li>
    );
  const { next } = jobs.data;
  const here = after === undefined && held === 'no' ? made.filter((e) => !rows.some((r) => r.id === e.id)) : [];
  if (rows.length + here.length === 0 && after === undefined)
    return (
      <li className="col-span-full">
        {others.data?.rows.length ? (
          <Empty title="Nothing can go on now">
            <p className="text-soft">Every open job waits for something.</p>
          </Empty>
        ) : (
          <Empty title="Every bay is empty">
            <p className="text-soft">Open a job when a machine comes in: what it does, and when.</p>
            <LinkButton to="/new">Open the first job</LinkButton>
          </Empty>
        )}
      </li>
    );
  return (
    <>
      {here.map((entry) => (
        <MadeHere key={entry.id} entry={entry} />
      ))}
      {(drawn.length ? drawn : rows.slice(0, FIRST)).map((row) => (
        <Bay key={row.id} row={row} />
      ))}
      {next !== null &&
        (more ? (
          <OpenBays held={held} after={next} />
        ) : (
          <li className="col-span-full">
            <Button onClick={() => setMore(true)}>Show more bays</Button>
          </li>
        ))}
    </>
  );
}
