import { useMemo } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { STAGES } from '@pondu/core/stages';
import type { Stage } from '@pondu/core';
import { useHouse, useJob, useMachine } from '../../api/hooks.ts';
import { useOutbox } from '../../offline/outbox.ts';
import { useAhead } from '../../tracer/useAhead.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Failed, Loading } from '../../ui/States.tsx';
import { complaintWords } from '../../words/complaint.ts';
import { ComplaintStage } from './ComplaintStage.tsx';
import { inputOf } from './jobInput.ts';
import { ProveStage } from './ProveStage.tsx';
import { RepairStage } from './RepairStage.tsx';
import { SetUpStage } from './SetUpStage.tsx';
import { Spine } from './Spine.tsx';
import { TraceStage } from './TraceStage.tsx';
import type { JobPlace } from './place.ts';

const SCREENS: Readonly<Record<Exclude<Stage, 'closed'>, (place: JobPlace) => React.ReactNode>> = {
  complaint: (p) => <ComplaintStage {...p} />,
  look: (p) => <TraceStage {...p} lookOnly />,
  trace: (p) => <TraceStage {...p} />,
  repair: (p) => <RepairStage {...p} />,
  'set up': (p) => <SetUpStage {...p} />,
  prove: (p) => <ProveStage {...p} />,
};

export const stagePath = (stage: Stage): string => stage.replace(' ', '-');

export function JobPage() {
  const { id, stage: path } = useParams();
  const job = useJob(id);
  const machine = useMachine(job.data?.machineId);
  const house = useHouse();
  usePageTitle(machine.data ? `${machine.data.machine.name}: ${path ?? job.data?.job.stage ?? ''}` : 'Job');
  const waits = useOutbox().some((e) => e.jobId === id);
  const ready = job.data?.id === id && job.data && machine.data && house.data;
  const input = useMemo(
    () => (ready ? inputOf(job.data!, machine.data!.machine, house.data!.house) : undefined),
    [ready, job.data, machine.data, house.data],
  );
  const stand = ready && !waits ? `${job.data!.version}/${machine.data!.version}/${house.data!.version}` : undefined;
  useAhead(id ?? '', stand, input);
  const error = job.error ?? machine.error ?? house.error;
  if (error && (!job.data || !machine.data || !house.data))
    return <Failed error={error} retry={() => void job.mutate()} />;
  if (!job.data || !machine.data || !house.data || job.data.id !== id) return <Loading what="Opening the job" />;
  const stored = job.data;
  if (path === undefined) {
    const to = stored.job.stage === 'closed' ? 'card' : stagePath(stored.job.stage);
    return <Navigate replace to={`/jobs/${stored.id}/${to}`} />;
  }
  const stage = STAGES.find((s) => stagePath(s) === path);
  if (!stage || stage === 'closed') return <Navigate replace to={`/jobs/${stored.id}/card`} />;
  const place: JobPlace = {
    stored,
    machine: machine.data.machine,
    house: house.data.house,
    input: input ?? inputOf(stored, machine.data.machine, house.data.house),
  };
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-x-4 border-b border-rule bg-panel px-3 sm:px-5">
        <h1 className="condensed py-1 text-[17px]">
          {place.machine.name} <span className="font-normal text-soft">{complaintWords(stored.job.complaint)}</span>
        </h1>
        <Spine stored={stored} shown={stage} />
      </div>
      {machine.data.awayAt !== null && (
        <p className="no-print bg-warn-wash px-4 py-1 text-warn">
          This machine is put away.{' '}
          <Link className="inline-flex min-h-12 items-center underline" to={`/machines/${stored.machineId}`}>
            Bring it back
          </Link>
        </p>
      )}
      {stored.unreadable > 0 && (
        <p className="no-print bg-warn-wash px-4 py-2 text-warn">
          {stored.unreadable} of its entries cannot be read as stored. They are kept, and in every backup.
        </p>
      )}
      {SCREENS[stage](place)}
    </>
  );
}
