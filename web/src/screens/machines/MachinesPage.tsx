import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMachineRows, type MachinesAsked } from '../../api/hooks.ts';
import type { MachineRow } from '../../api/types.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Button } from '../../ui/Button.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { Empty, Failed, Loading } from '../../ui/States.tsx';
import { fitOutWords } from './fitOutWords.ts';

export function MachinesPage() {
  usePageTitle('Machines');
  const [q, setQ] = useState('');
  const [away, setAway] = useState(false);
  return (
    <div className="p-3 sm:p-5">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1 className="grow text-2xl">Machines</h1>
        <SearchField label="Search machines" onSearch={setQ} />
        <LinkButton to="/machines/new" look="do">
          <Plus aria-hidden className="size-5" /> Add a machine
        </LinkButton>
      </div>
      <ul className="grid gap-3 md:grid-cols-2">
        <Rows asked={{ q }} none={q ? 'Nothing found' : 'No machine yet'} />
      </ul>
      <Button className="mt-5" aria-expanded={away} onClick={() => setAway(!away)}>
        {away ? 'Hide' : 'Show'} machines put away
      </Button>
      {away && (
        <ul className="mt-3 grid gap-3 md:grid-cols-2">
          <Rows asked={{ q, away: true }} none="None is put away" />
        </ul>
      )}
    </div>
  );
}

/** A page of machines, and the one after it when it is asked for. */
function Rows({ asked, none }: { asked: MachinesAsked; none: string }) {
  const { data, error, mutate } = useMachineRows(asked);
  const [more, setMore] = useState(false);
  if (error && !data)
    return (
      <li className="col-span-full">
        <Failed error={error} retry={() => void mutate()} />
      </li>
    );
  if (!data)
    return (
      <li className="col-span-full">
        <Loading what="Fetching the machines" />
      </li>
    );
  if (data.rows.length === 0 && asked.after === undefined)
    return (
      <li className="col-span-full">
        <Empty title={none}>
          {!asked.q && !asked.away && (
            <p className="text-soft">Add the first one by what you see: battery, coil, cylinders.</p>
          )}
        </Empty>
      </li>
    );
  return (
    <>
      {data.rows.map((row) => (
        <Row key={row.id} row={row} />
      ))}
      {data.next !== null &&
        (more ? (
          <Rows asked={{ ...asked, after: data.next }} none={none} />
        ) : (
          <li className="col-span-full">
            <Button onClick={() => setMore(true)}>Show more machines</Button>
          </li>
        ))}
    </>
  );
}

function Row({ row: { id, machine, unreadable, openJobs: open } }: { row: MachineRow }) {
  if (!machine)
    return (
      <li className="card p-4 text-danger">
        The machine “{id}” cannot be read as it is stored ({unreadable}). It is kept, and in every backup.
      </li>
    );
  return (
    <li className="card">
      <Link to={`/machines/${id}`} className="block p-4 hover:bg-sunk/40">
        <h2 className="text-lg" translate="no">
          {machine.name}
        </h2>
        <p className="text-soft">{[machine.kind, machine.maker, machine.year].filter(Boolean).join(' · ')}</p>
        <p className="mt-1">{fitOutWords(machine.fitOut)}</p>
        <p className="mt-1 font-semibold">
          {open === 0 ? 'No open job' : open === 1 ? '1 open job' : `${open} open jobs`}
        </p>
      </Link>
    </li>
  );
}
