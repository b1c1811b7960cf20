import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useHouse, useJobs, useMachines } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Button } from '../../ui/Button.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Empty, Failed, Loading } from '../../ui/States.tsx';
import { Bay } from './Bay.tsx';
import { ClosedJobs } from './ClosedJobs.tsx';

export function BaysPage() {
  usePageTitle('Bays');
  const jobs = useJobs();
  const machines = useMachines();
  const house = useHouse();
  const [closed, setClosed] = useState(false);
  const byId = useMemo(() => new Map((machines.data ?? []).map((m) => [m.id, m])), [machines.data]);
  const error = jobs.error ?? machines.error ?? house.error;
  if (error && !jobs.data) return <Failed error={error} retry={() => void jobs.mutate()} />;
  if (!jobs.data || !machines.data || !house.data) return <Loading what="Opening the bays" />;
  const open = jobs.data.filter((j) => j.job.stage !== 'closed');
  const done = jobs.data.filter((j) => j.job.stage === 'closed');
  return (
    <div className="p-3 sm:p-5">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1 className="grow text-2xl">{house.data.house.shopName}</h1>
        <LinkButton to="/new" look="do">
          <Plus aria-hidden className="size-5" /> New job
        </LinkButton>
      </div>
      {open.length === 0 ? (
        <Empty title="Every bay is empty">
          <p className="text-soft">Open a job when a machine comes in: what it does, and when.</p>
          <LinkButton to="/new">Open the first job</LinkButton>
        </Empty>
      ) : (
        <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
          {open.map((stored) => {
            const machine = byId.get(stored.machineId);
            return machine ? <Bay key={stored.id} stored={stored} machine={machine} house={house.data!.house} /> : null;
          })}
        </ul>
      )}
      {done.length > 0 && (
        <div className="mt-5">
          <Button aria-expanded={closed} onClick={() => setClosed(!closed)}>
            {closed ? 'Hide' : 'Show'} closed jobs ({done.length})
          </Button>
          {closed && <ClosedJobs jobs={done} machines={byId} />}
        </div>
      )}
    </div>
  );
}
