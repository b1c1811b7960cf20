import { format } from 'date-fns';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { useJob } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import type { Entry } from '../../offline/entry.ts';
import { useLink } from '../../offline/link.ts';
import { outbox, useOutbox } from '../../offline/outbox.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty } from '../../ui/States.tsx';
import { entryWords, fieldWords } from '../../words/entries.ts';

/** What was entered here and is not in the workshop yet: what waits, and what could not go up as it is. */
export function WaitingPage() {
  usePageTitle('Waiting to go up');
  const entries = useOutbox();
  return (
    <div className="mx-auto grid max-w-3xl gap-3 p-3 sm:p-5">
      <h1 className="text-2xl">Waiting to go up</h1>
      {entries.length === 0 ? (
        <Empty title="Nothing waits: all that was entered here is in the workshop" />
      ) : (
        <ul className="grid gap-3">
          {entries.map((e) => (
            <li key={e.id} className="card grid gap-2 p-4">
              <div className="flex flex-wrap items-baseline gap-x-3">
                <b className="grow">{entryWords(e)}</b>
                <span className="tag">{format(new Date(e.at), 'd MMM HH:mm')}</span>
                <Link className="inline-flex min-h-12 items-center underline" to={`/jobs/${e.jobId}`}>
                  Its job
                </Link>
              </div>
              {e.state === 'waiting' && <p className="text-soft">Goes up by itself when the workshop answers.</p>}
              {e.state === 'refused' && <Refused entry={e} />}
              {e.state === 'conflict' && <Conflict entry={e} />}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Refused({ entry }: { entry: Entry }) {
  return (
    <>
      <p className="font-medium text-warn">{entry.why}</p>
      <div className="flex flex-wrap gap-2">
        {entry.code === 'absurd' ? (
          <Button look="do" onClick={() => void outbox.again(entry.id, { confirmed: true })}>
            Yes, let it stand
          </Button>
        ) : (
          <Button look="do" onClick={() => void outbox.again(entry.id)}>
            Try again
          </Button>
        )}
        <Button onClick={() => void outbox.drop(entry.id)}>Throw it away</Button>
      </div>
    </>
  );
}

/** The job was changed by another device meanwhile: both stand side by side until one is chosen. */
function Conflict({ entry }: { entry: Entry }) {
  const { data, mutate } = useJob(entry.jobId);
  const line = useLink();
  // What stood here may be from before the other device wrote: asked anew, and again whenever the line is back.
  useEffect(() => {
    if (line === 'here') void mutate();
  }, [line, mutate]);
  const theirs = data?.job as unknown as Record<string, unknown> | undefined;
  return (
    <>
      <p className="font-medium text-warn">Another device changed this job meanwhile. Nothing was overwritten.</p>
      <dl className="grid gap-2 sm:grid-cols-2">
        <div className="rounded-lg bg-sunk p-3">
          <dt className="tag">Entered here</dt>
          <dd>{fieldWords(entry.body)}</dd>
        </div>
        <div className="rounded-lg bg-sunk p-3">
          <dt className="tag">In the workshop now</dt>
          <dd>
            {theirs
              ? fieldWords(Object.fromEntries(Object.keys(entry.body).map((k) => [k, theirs[k]])))
              : 'Not known without a signal'}
          </dd>
        </div>
      </dl>
      <div className="flex flex-wrap gap-2">
        <Button look="do" onClick={() => void outbox.again(entry.id)}>
          Take what was entered here
        </Button>
        <Button onClick={() => void outbox.drop(entry.id)}>Keep the workshop’s</Button>
      </div>
    </>
  );
}
