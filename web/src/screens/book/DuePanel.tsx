import { lastRead, type DueLine, type Service } from '@pondu/core';
import { format, parseISO } from 'date-fns';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { StoredMachine } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { useBookWrite } from './useBookWrite.ts';

const STATE: Readonly<Record<DueLine['state'], { label: string; tone: string }>> = {
  due: { label: 'due', tone: 'text-danger font-semibold' },
  'never done': { label: 'never done here', tone: 'text-warn font-semibold' },
  soon: { label: 'soon', tone: 'text-warn font-semibold' },
  later: { label: 'later', tone: 'text-soft' },
};
const METERS = [
  { value: 'hours', label: 'hours' },
  { value: 'miles', label: 'miles' },
  { value: 'km', label: 'km' },
];
const EMPTY = { what: '', months: '', meter: '' };
const today = (): string => format(new Date(), 'yyyy-MM-dd');
const numberIn = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')));

/** What is due by date and by the meter, with its calendar file. */
export function DuePanel({ stored, due }: { stored: StoredMachine; due: readonly DueLine[] }) {
  const { book, write } = useBookWrite(stored);
  const [draft, setDraft, clear] = useDraft(`machine.${stored.id}.service`, EMPTY);
  const [reading, setReading, clearReading] = useDraft(`machine.${stored.id}.meter`, '');
  const [error, setError] = useState('');
  const last = lastRead(book);

  async function add() {
    const [everyMonths, everyMeter] = [numberIn(draft.months), numberIn(draft.meter)];
    if (!draft.what.trim()) return setError('Say what is to be done.');
    if (everyMonths === null && everyMeter === null)
      return setError('Say after how many months, or after how much on its meter.');
    if ([everyMonths, everyMeter].some((n) => n !== null && !(n > 0)))
      return setError('Months and meter are numbers above nothing.');
    setError('');
    const service: Service = {
      id: uuid(),
      what: draft.what.trim(),
      everyMonths,
      everyMeter,
      lastAt: null,
      lastMeter: null,
    };
    if (await write({ services: [...book.services, service] })) clear();
  }
  async function readMeter() {
    const value = numberIn(reading);
    if (value === null || !(value >= 0)) return setError('Type what the meter shows, a number.');
    setError('');
    if (await write({ read: [...book.read, { at: today(), value }] })) clearReading();
  }
  const done = (id: string) =>
    write({
      services: book.services.map((s) => (s.id === id ? { ...s, lastAt: today(), lastMeter: last?.value ?? null } : s)),
    });
  return (
    <section className="card grid gap-3 p-4" aria-label="What is due">
      <div className="flex flex-wrap items-baseline justify-between gap-3">
        <h2 className="text-lg">What is due</h2>
        <a
          className="no-print inline-flex min-h-12 items-center underline"
          href={`/api/machines/${stored.id}/due.ics`}
          download
        >
          Calendar file
        </a>
      </div>
      {due.length === 0 && <p className="text-soft">Nothing is kept in view yet.</p>}
      <ul>
        {due.map(({ service, byDate, byMeter, onDate, state }) => (
          <li key={service.id} className="flex flex-wrap items-center gap-x-4 border-t border-rule py-1">
            <span className="grow basis-48">
              {service.what}
              <span className="block text-[14px] text-soft">
                {[
                  service.everyMonths !== null ? `every ${service.everyMonths} months` : '',
                  service.everyMeter !== null ? `every ${service.everyMeter} ${book.meter}` : '',
                ]
                  .filter(Boolean)
                  .join(' or ')}
                {service.lastAt && `; last ${format(parseISO(service.lastAt), 'd MMM yyyy')}`}
                {service.lastMeter !== null && ` at ${service.lastMeter}`}
              </span>
            </span>
            <span className={STATE[state].tone}>
              {state === 'later' || state === 'soon'
                ? [
                    byDate ? format(parseISO(byDate), 'd MMM yyyy') : '',
                    byMeter !== null ? `${byMeter} ${book.meter}` : '',
                    !byDate && onDate ? `about ${format(parseISO(onDate), 'MMM yyyy')}` : '',
                  ]
                    .filter(Boolean)
                    .join(', ')
                : STATE[state].label}
            </span>
            <span className="no-print flex basis-full justify-end">
              <Button look="quiet" onClick={() => void done(service.id)} aria-label={`Done today: ${service.what}`}>
                Done today
              </Button>
              <Button
                look="quiet"
                aria-label={`Take out: ${service.what}`}
                onClick={() => void write({ services: book.services.filter((s) => s.id !== service.id) })}
              >
                Take out
              </Button>
            </span>
          </li>
        ))}
      </ul>
      <form
        className="no-print grid grid-cols-2 items-end gap-2 sm:grid-cols-[2fr_1fr_1fr_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <div className="col-span-2 sm:col-span-1">
          <TextField
            label="To be done"
            value={draft.what}
            onChange={(e) => setDraft({ ...draft, what: e.target.value })}
          />
        </div>
        <TextField
          label="Every, months"
          inputMode="numeric"
          value={draft.months}
          onChange={(e) => setDraft({ ...draft, months: e.target.value })}
        />
        <TextField
          label={`Every, ${book.meter}`}
          inputMode="numeric"
          value={draft.meter}
          onChange={(e) => setDraft({ ...draft, meter: e.target.value })}
        />
        <Button type="submit">Keep in view</Button>
      </form>
      <form
        className="no-print grid grid-cols-2 items-end gap-2 sm:grid-cols-[1fr_1fr_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          void readMeter();
        }}
      >
        <TextField
          label="Meter shows today"
          inputMode="decimal"
          value={reading}
          placeholder={last ? String(last.value) : ''}
          onChange={(e) => setReading(e.target.value)}
        />
        <SelectField
          label="In"
          value={book.meter}
          options={METERS}
          onChange={(meter) => void write({ meter: meter as 'hours' })}
        />
        <Button type="submit">Write it down</Button>
      </form>
      <p role="alert" className="font-medium text-danger empty:hidden">
        {error}
      </p>
    </section>
  );
}
