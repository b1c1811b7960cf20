import { entryOf, type CheckView, type JobEvent, type Reading, type TraceView } from '@pondu/core';
import { format } from 'date-fns';
import { ChevronDown } from 'lucide-react';
import { Collapsible } from 'radix-ui';
import { Button } from '../../ui/Button.tsx';
import { useOutbox } from '../../offline/outbox.ts';
import { checkOf, labelOf, type Checks } from '../../words/checks.ts';
import type { JobPlace } from './place.ts';
import { showQuantity } from '../../units/quantity.ts';

export const readingWords = (reading: Reading, check: CheckView | undefined): string => {
  if (reading.value.kind === 'word') return reading.value.word;
  if (reading.value.kind === 'open') return 'OL';
  return check?.dimension ? showQuantity(reading.value.value, check.dimension) : String(reading.value.value);
};

const PRESENT = { yes: 'failing', no: 'running well', unknown: '' } as const;

/** Who wrote it down and where, or that it is not in the workshop yet. */
function Whence({ event, waits }: { event: JobEvent; waits: boolean }) {
  const { by } = entryOf(event);
  if (waits) return <span className="tag !text-warn">not in the workshop yet</span>;
  return by ? (
    <span className="tag">
      {by.initials}, {by.device}
    </span>
  ) : null;
}

const STANDING = { well: 'well', above: 'above the band', below: 'below the band', off: 'off' } as const;

/** What is not a reading, in one line. */
function lineOf(event: Exclude<JobEvent, { type: 'reading' }>, checks: Checks): string {
  switch (event.type) {
    case 'fix':
      return `Repair: ${event.fix.what}${event.fix.temporary ? ' (temporary)' : ''}`;
    case 'cause':
      return `Cause ${event.cause.found}: ${event.cause.cause}`;
    case 'setting':
      return `Setting left: ${event.setting.figure}`;
    case 'sheet':
      return `Bench: ${event.sheet.body.kind}`;
    case 'photo':
      return event.photo.gone ? 'Photo taken away' : `Photo: ${event.photo.words || 'no words'}`;
    case 'aside':
      return `Could not tell: ${labelOf(checks, event.aside.checkId)}`;
    case 'care':
      return `Understood: ${event.care.cautions.join(', ')}`;
  }
}

/** Everything that happened, oldest first. A reading is never edited: a correction stands beside it. */
export function Log({
  place,
  checks,
  trace,
  open,
  onOpenChange,
  onCorrect,
}: {
  place: JobPlace;
  checks: Checks;
  trace: TraceView;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onCorrect: (checkId: string, readingId: string) => void;
}) {
  const { events } = place.stored;
  const superseded = new Set(
    events.flatMap((e) => (e.type === 'reading' && e.reading.supersedes ? [e.reading.supersedes] : [])),
  );
  // Whoever asks how much was found out does not count what he was warned of.
  const entered = events.filter((e) => e.type !== 'care').length;
  const waiting = new Set(useOutbox().map((e) => e.id));
  return (
    <Collapsible.Root open={open} onOpenChange={onOpenChange} className="card lg:col-span-2">
      <Collapsible.Trigger id="log" className="flex min-h-12 w-full items-center gap-2 px-4 text-left font-semibold">
        <ChevronDown aria-hidden className={`size-5 ${open ? 'rotate-180' : ''}`} />
        Log: {entered === 0 ? 'nothing yet' : `${entered} ${entered === 1 ? 'entry' : 'entries'}`}
        {trace.atOdds.length > 0 && (
          <span className="ml-2 rounded bg-warn-wash px-2 py-0.5 text-[13px] text-warn">
            {trace.atOdds.length} at odds with the rest
          </span>
        )}
      </Collapsible.Trigger>
      <Collapsible.Content>
        <ol className="divide-y divide-rule border-t border-rule">
          {events.map((e) => {
            if (e.type === 'reading') {
              const { reading } = e;
              const check = checkOf(checks, reading.checkId);
              const old = superseded.has(reading.id);
              const odd = trace.atOdds.find((o) => o.readingId === reading.id);
              const failed = trace.failed.find((f) => f.readingId === reading.id);
              return (
                <li
                  key={reading.id}
                  className={`flex flex-wrap items-center gap-x-4 gap-y-1 px-4 py-1 ${old ? 'text-soft line-through' : ''}`}
                >
                  <span className="tag w-24">{format(new Date(reading.at), 'd MMM HH:mm')}</span>
                  <span className="grow basis-56">{labelOf(checks, reading.checkId)}</span>
                  <b className={`w-32 ${failed && !old ? 'text-lost' : ''}`}>{readingWords(reading, check)}</b>
                  <span className="w-28 text-[14px]">{STANDING[failed?.standing ?? 'well']}</span>
                  <span className="tag w-40">
                    {[reading.warmth === 'unknown' ? '' : reading.warmth, PRESENT[reading.faultPresent]]
                      .filter(Boolean)
                      .join(', ')}
                  </span>
                  <Whence event={e} waits={waiting.has(reading.id)} />
                  {reading.note && (
                    <span translate="no" className="basis-full text-[14px] text-soft">
                      {reading.note}
                    </span>
                  )}
                  {failed && !failed.explained && !old && !odd && (
                    <span className="text-[14px] text-soft">out of its band; not what stops it</span>
                  )}
                  {odd && <span className="text-[14px] font-semibold text-warn">fits nothing well: repeat it</span>}
                  {!old && check && (
                    <Button
                      look="quiet"
                      onClick={() => onCorrect(check.id, reading.id)}
                      aria-label={`Correct ${check.label}`}
                    >
                      Correct
                    </Button>
                  )}
                </li>
              );
            }
            const { id, at } = entryOf(e);
            return (
              <li key={id} className="flex min-h-12 flex-wrap items-center gap-x-4 bg-sunk/50 px-4 py-1">
                <span className="tag w-24">{format(new Date(at), 'd MMM HH:mm')}</span>
                <b>{lineOf(e, checks)}</b>
                <Whence event={e} waits={waiting.has(id)} />
              </li>
            );
          })}
        </ol>
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
