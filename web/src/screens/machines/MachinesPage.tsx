import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { useJobs, useMachines } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Empty, Failed, Loading } from '../../ui/States.tsx';
import { fitOutWords } from './fitOutWords.ts';

export function MachinesPage() {
  usePageTitle('Machines');
  const machines = useMachines();
  const jobs = useJobs();
  if (machines.error && !machines.data) return <Failed error={machines.error} retry={() => void machines.mutate()} />;
  if (!machines.data) return <Loading what="Fetching the machines" />;
  return (
    <div className="p-3 sm:p-5">
      <div className="mb-4 flex items-center gap-3">
        <h1 className="grow text-2xl">Machines</h1>
        <LinkButton to="/machines/new" look="do">
          <Plus aria-hidden className="size-5" /> Add a machine
        </LinkButton>
      </div>
      {machines.data.length === 0 ? (
        <Empty title="No machine yet">
          <p className="text-soft">Add the first one by what you see: battery, coil, cylinders.</p>
        </Empty>
      ) : (
        <ul className="grid gap-3 md:grid-cols-2">
          {machines.data.map(({ id, machine }) => {
            const open = jobs.data?.filter((j) => j.machineId === id && j.job.stage !== 'closed').length ?? 0;
            return (
              <li key={id} className="card">
                <Link to={`/machines/${id}`} className="block p-4 hover:bg-sunk/40">
                  <h2 className="text-lg">{machine.name}</h2>
                  <p className="text-soft">{[machine.kind, machine.maker, machine.year].filter(Boolean).join(' · ')}</p>
                  <p className="mt-1">{fitOutWords(machine.fitOut)}</p>
                  <p className="mt-1 font-semibold">
                    {open === 0 ? 'No open job' : open === 1 ? '1 open job' : `${open} open jobs`}
                  </p>
                </Link>
              </li>
            );
          })}
        </ul>
      )}
    </div>
  );
}
