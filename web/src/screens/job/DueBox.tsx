import type { JobBody, ProofView } from '@pondu/core';
import { addHours, addMinutes, format, isPast } from 'date-fns';
import { Hourglass } from 'lucide-react';
import { Button } from '../../ui/Button.tsx';
import { WAITS } from '../../words/complaint.ts';
import type { JobPlace } from './place.ts';
import { usePatch } from './useMoveOn.ts';
import { whenOpen } from './whenOpen.ts';

/** Hot enough to fail as it did, by the soak's own model. */
const SOAK_MINUTES = 20;
const NIGHT_HOURS = 12;

interface Wait {
  label: string;
  waitsFor: JobBody['waitsFor'];
  dueAt: string;
}

/** What the proofs still to be taken wait for, with a time. */
function waitsOf(proofs: readonly ProofView[], now: Date): Wait[] {
  const open = proofs.filter((p) => p.state !== 'passed');
  const rest = open.find((p) => p.wanted.restHours > 0);
  const soonest = whenOpen(rest?.soonest === undefined ? addHours(now, NIGHT_HOURS) : new Date(rest.soonest));
  return [
    ...(open.some((p) => p.wanted.warmth === 'hot')
      ? [
          {
            label: 'Let it soak hot',
            waitsFor: 'hot soak' as const,
            dueAt: addMinutes(now, SOAK_MINUTES).toISOString(),
          },
        ]
      : []),
    ...(rest && soonest > now
      ? [{ label: 'Let it stand until it is cold', waitsFor: 'cold start' as const, dueAt: soonest.toISOString() }]
      : []),
  ];
}

/** A proof that must wait: the job stands in the bays with its time, and goes on from there. */
export function DueBox({ place: { stored }, proofs }: { place: JobPlace; proofs: readonly ProofView[] }) {
  const patch = usePatch(stored);
  const { waitsFor, dueAt } = stored.job;
  const waits = waitsOf(proofs, new Date());
  const waiting = WAITS.find((w) => w.value === waitsFor && w.value !== '');
  if (!waiting && waits.length === 0) return null;
  return (
    <section className="card grid gap-2 p-4" aria-label="Waiting">
      {waiting && (
        <p className="flex items-center gap-2 font-semibold text-warn">
          <Hourglass aria-hidden className="size-5 shrink-0" />
          {waiting.label}
          {dueAt &&
            (isPast(new Date(dueAt))
              ? ', its time has come'
              : `, until ${format(new Date(dueAt), 'EEEE d MMMM, HH:mm')}`)}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        {waits
          .filter((w) => w.waitsFor !== waitsFor)
          .map((w) => (
            <Button key={w.waitsFor} onClick={() => void patch({ waitsFor: w.waitsFor, dueAt: w.dueAt })}>
              {w.label}, until {format(new Date(w.dueAt), 'EEE HH:mm')}
            </Button>
          ))}
        {waiting && <Button onClick={() => void patch({ waitsFor: '', dueAt: null })}>It waits no longer</Button>}
      </div>
      <a className="inline-flex min-h-12 items-center underline" href="/api/due.ics" download>
        Times of all waiting jobs as a calendar file
      </a>
    </section>
  );
}
