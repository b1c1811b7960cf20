import type { House, TraceView } from '@pondu/core';
import { ArrowRight, Hourglass } from 'lucide-react';
import { Link } from 'react-router';
import type { StoredJob, StoredMachine } from '../../api/types.ts';
import { useModel, useTrace } from '../../tracer/useTracer.ts';
import { percent } from '../../words/belief.ts';
import { complaintWords, STAGE_LABELS, WAITS } from '../../words/complaint.ts';
import { inputOf, nowOf } from '../job/jobInput.ts';
import { MiniTrail } from './MiniTrail.tsx';

/** What the job asks for next, in one line. */
function nextLine(trace: TraceView, stored: StoredJob): string {
  const { verdict } = trace;
  if (stored.job.stage === 'prove') return 'Prove it, then close';
  if (stored.job.stage === 'set up') return 'Set it up';
  if (verdict.kind === 'fix') return verdict.repair.label;
  if (verdict.kind === 'second check') return verdict.check.label;
  if (verdict.kind === 'sound')
    return stored.events.some((e) => e.type === 'fix') ? 'Prove it' : 'Spark is sound: look to fuel, air, timing';
  if (verdict.kind === 'wait') return 'Wait until it fails again';
  if (verdict.kind === 'outside') return 'Readings contradict each other';
  return trace.ranked[0]?.label ?? 'Nothing left to check';
}

export function Bay({ stored, machine, house }: { stored: StoredJob; machine: StoredMachine; house: House }) {
  const input = inputOf(stored, machine.machine, house);
  const { data: trace, error } = useTrace(input, nowOf(stored));
  const { data: model } = useModel(machine.machine, house);
  const lost = trace?.suspects[0];
  const waits = stored.job.waitsFor && WAITS.find((w) => w.value === stored.job.waitsFor)?.label;
  return (
    <li className="card overflow-hidden">
      <Link to={`/jobs/${stored.id}`} className="block p-4 hover:bg-sunk/40">
        <div className="flex items-baseline justify-between gap-3">
          <h2 className="text-lg">{machine.machine.name}</h2>
          <span className="tag shrink-0">{STAGE_LABELS[stored.job.stage]}</span>
        </div>
        <p className="mb-3">{complaintWords(stored.job.complaint)}</p>
        {model && trace ? <MiniTrail stations={model.stations} states={trace.stations} /> : <div className="h-7" />}
        <p className="mt-2 min-h-6 text-[15px]">
          {error ? (
            <span className="text-danger">This trail cannot be computed: {error.message}</span>
          ) : !trace ? (
            <span className="text-soft">Working it out…</span>
          ) : lost && lost.share > 0.3 ? (
            <>
              <span className="font-semibold text-lost">
                {lost.part}: {lost.how}
              </span>{' '}
              {percent(lost.share)}
            </>
          ) : (
            <span className="text-soft">No leading suspect yet</span>
          )}
        </p>
        <p className="mt-2 flex min-h-8 items-center gap-2 font-semibold">
          {waits ? (
            <>
              <Hourglass aria-hidden className="size-5 shrink-0 text-warn" /> <span className="text-warn">{waits}</span>
            </>
          ) : (
            <>
              <ArrowRight aria-hidden className="size-5 shrink-0 text-do" /> {trace && nextLine(trace, stored)}
            </>
          )}
        </p>
      </Link>
    </li>
  );
}
