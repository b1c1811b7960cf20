import type { BookView, FittedPart, KitLine, Wired } from '@pondu/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { Link } from 'react-router';
import { Folded } from '../../ui/Folded.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { complaintWords } from '../../words/complaint.ts';
import { Adapted, FixLine } from './Adapted.tsx';
import { showBand, showQuantity } from '../../units/quantity.ts';
import { moneyWords } from '../../words/belief.ts';

interface Props {
  book: BookView;
  /** How its regulator can be wired, where something of it was. */
  ways?: readonly Wired[] | undefined;
  currency: string;
}
const has = (q: string, ...texts: (string | undefined)[]): boolean =>
  q === '' || texts.some((t) => t?.toLowerCase().includes(q.toLowerCase()));

/** What was found and done on this machine, what is in it, and what to have at hand for the next time. */
export function BookPanel({ book, ways, currency }: Props) {
  const [q, setQ] = useState('');
  const jobs = book.jobs.filter((j) =>
    has(q, complaintWords(j.job.complaint), j.job.complaint.words, ...j.repairs, ...j.causes),
  );
  const parts = book.parts.filter(({ fix }) => has(q, fix.parts, fix.partNumber, fix.source, fix.what));
  const adapted = book.adapted.filter(({ fix }) => has(q, fix.parts, fix.wiring, fix.what));
  return (
    <section className="card grid gap-4 p-4" aria-label="Book">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="grow text-lg">Its book</h2>
        <div className="no-print w-full sm:w-72">
          <SearchField label="Search the book" onSearch={setQ} />
        </div>
      </div>
      {book.temporary.length > 0 && (
        <div className="rounded-lg bg-warn-wash p-3">
          <h3 className="font-semibold text-warn">Temporary, and still in</h3>
          <Fixes fixes={book.temporary} />
        </div>
      )}
      <div className="overflow-x-auto">
        <table className="w-full min-w-[40rem] text-[15px]">
          <caption className="tag text-left">Faults, causes, and what they came to</caption>
          <thead>
            <tr className="tag text-left [&>th]:pr-2 [&>th:last-child]:pr-0">
              <th>When</th>
              <th>Complaint</th>
              <th>Done</th>
              <th>Cause</th>
              <th className="text-right">Minutes (expected)</th>
              <th className="text-right">{currency} (expected)</th>
            </tr>
          </thead>
          <tbody>
            {jobs.map((j) => (
              <tr key={j.id} className="border-t border-rule align-top">
                <td className="pr-2 whitespace-nowrap">{format(new Date(j.job.openedAt), 'd MMM yyyy')}</td>
                <td className="pr-2">
                  <Link className="underline" to={`/jobs/${j.id}/card`}>
                    {complaintWords(j.job.complaint)}
                  </Link>
                </td>
                <td className="pr-2">
                  {j.repairs.join('; ') || (j.job.stage === 'closed' ? 'nothing' : 'still open')}
                </td>
                <td className="pr-2">{j.causes.join('; ')}</td>
                <td className="pr-2 text-right whitespace-nowrap">
                  {Math.round(j.minutes)} ({Math.round(j.expectedMinutes)})
                </td>
                <td className="text-right whitespace-nowrap">
                  {Math.round(j.money)} ({Math.round(j.expectedMoney)})
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        {jobs.length === 0 && <p className="text-soft">{q ? `Nothing in it says “${q}”.` : 'No job yet.'}</p>}
      </div>
      {parts.length > 0 && (
        <div>
          <h3 className="font-semibold">Parts fitted</h3>
          <ul className="text-[15px]">
            {parts.map(({ fix, jobId }) => (
              <li key={fix.id} className="border-t border-rule py-1">
                <Link className="underline" to={`/jobs/${jobId}/card`}>
                  {fix.parts || fix.what}
                </Link>
                {fix.partNumber && <b> {fix.partNumber}</b>}
                <span className="text-soft">
                  {' '}
                  {[
                    fix.source,
                    moneyWords(fix.money, currency),
                    format(new Date(fix.at), 'd MMM yyyy'),
                    fix.meter === undefined ? '' : `at ${fix.meter}`,
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
      {adapted.length > 0 && (
        <div>
          <h3 className="font-semibold">Adapted or bypassed</h3>
          <Adapted fixes={adapted} ways={ways} />
        </div>
      )}
      {book.kit.length > 0 && (
        <Folded name="For the next tune-up">
          <ul className="text-[15px]">
            {book.kit.map((k, i) => (
              <li key={i} className="flex gap-3 border-t border-rule py-1">
                <span className="w-8">{k.count}</span>
                <span className="grow">
                  {k.what} {k.number && <b>{k.number}</b>} {k.note && <span className="text-soft">({k.note})</span>}
                  {k.set && <span className="text-soft"> {settingWords(k.set)}</span>}
                </span>
                <span className={k.why === 'found worn' ? 'text-warn' : 'text-soft'}>{k.why}</span>
                <span className="w-20 text-right">{moneyWords(k.count * k.money, currency)}</span>
              </li>
            ))}
          </ul>
        </Folded>
      )}
    </section>
  );
}

/** What it is set to, and what it was left at last. */
const settingWords = ({ low, high, dimension, leftAt }: NonNullable<KitLine['set']>): string =>
  `set to ${showBand(low, high, dimension)}${leftAt === undefined ? '' : `, last left at ${showQuantity(leftAt, dimension)}`}`;

const Fixes = ({ fixes }: { fixes: readonly FittedPart[] }) => (
  <ul className="text-[15px]">
    {fixes.map(({ fix, jobId }) => (
      <li key={fix.id}>
        <FixLine fix={fix} jobId={jobId} />
      </li>
    ))}
  </ul>
);
