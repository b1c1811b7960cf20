import type { Review, StoredLesson } from '@pondu/core';
import { CircleCheck, CircleX, Download, Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { dropLesson, useReview } from '../../api/practice.ts';
import { problemOf } from '../../api/problem.ts';
import { Button } from '../../ui/Button.tsx';
import { Folded } from '../../ui/Folded.tsx';
import { LinkButton } from '../../ui/LinkButton.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { minutesWords, moneyWords, percent } from '../../words/belief.ts';
import { FINDING_WORDS, hiddenWords, twistWords } from '../../words/practice.ts';
import { WorthWords } from './CheckPanel.tsx';
import { WayChart } from './WayChart.tsx';

/** What was wrong, the whole way beside the best one, and what to do otherwise. */
export function ReviewView({ stored }: { stored: StoredLesson }) {
  const { lesson, id } = stored;
  const reviewed = useReview(id);
  const go = useNavigate();
  if (reviewed.error && !reviewed.data) return <Failed error={reviewed.error} retry={() => void reviewed.mutate()} />;
  if (!reviewed.data) return <Loading what="Going over your way" />;
  const { review, others } = reviewed.data;
  const drop = async () => {
    try {
      await dropLesson(id);
      void go('/practice');
    } catch (failed) {
      toast.error(problemOf(failed).message);
    }
  };
  return (
    <div className="mx-auto grid max-w-5xl gap-4 p-3 sm:p-5">
      <header>
        <h1 className="text-2xl">{lesson.machine.name}: how it went</h1>
        <p className="text-soft">
          <q>{lesson.complaint.words}</q> Practice, {twistWords(lesson.twists)}, seed {lesson.seed}.
        </p>
      </header>
      <section aria-label="What was wrong" className="card grid gap-2 p-4">
        <p className="flex items-start gap-2 text-lg">
          {review.found ? (
            <CircleCheck aria-hidden className="mt-1 size-6 shrink-0 text-well" />
          ) : (
            <CircleX aria-hidden className="mt-1 size-6 shrink-0 text-lost" />
          )}
          <span>
            <b>{review.found ? 'Found' : 'Not found'}</b>: {review.truth.map(hiddenWords).join('; and ')}.
          </span>
        </p>
        <Besides review={review} />
        <Figures review={review} currency={lesson.house.currency} />
      </section>
      <section aria-label="Your way and the best one" className="card p-4">
        <WayChart review={review} others={others} />
        <p className="text-[14px] text-soft">Circles are checks, squares are repairs.</p>
      </section>
      <section aria-label="What to do otherwise" className="card p-4">
        <h2 className="mb-1 text-lg">What to do otherwise</h2>
        {review.findings.length === 0 ? (
          <p>Nothing: that is how it is done.</p>
        ) : (
          <ul className="grid gap-2">
            {review.findings.map((f) => (
              <li key={f.id}>
                <b>{FINDING_WORDS[f.id].label}</b>
                <Where review={review} place={f.place} count={f.count} />
                <p className="text-[15px]">{FINDING_WORDS[f.id].instead}</p>
              </li>
            ))}
          </ul>
        )}
      </section>
      <Steps review={review} />
      <div className="flex flex-wrap gap-3">
        <LinkButton to="/practice" look="do">
          To the practice bench
        </LinkButton>
        <a
          href={`/api/practice/${id}/file`}
          download
          className="inline-flex min-h-12 items-center gap-2 rounded-lg border-[1.5px] border-soft bg-panel px-4 text-[15px] hover:bg-sunk"
        >
          <Download aria-hidden className="size-5" /> Save it as a file
        </a>
        <Button look="quiet" onClick={() => void drop()}>
          <Trash2 aria-hidden className="size-5" /> Take it out of the list
        </Button>
      </div>
    </div>
  );
}

/** What was not as its book has it. */
function Besides({ review: { besides, offBook } }: { review: Review }) {
  if (besides.length + offBook.length === 0) return null;
  return (
    <p>
      Besides, and nothing to do with it:{' '}
      {[...besides.map(hiddenWords), ...offBook.map((id) => `a part of another variant (${id})`)].join('; ')}.
    </p>
  );
}

function Figures({ review, currency }: { review: Review; currency: string }) {
  const sum = (of: Review['best'], what: 'minutes' | 'money') => of.reduce((total, s) => total + s[what], 0);
  const rows = [
    ['Minutes', minutesWords(review.minutes), minutesWords(sum(review.best, 'minutes'))],
    ['Parts', moneyWords(review.money, currency), moneyWords(sum(review.best, 'money'), currency)],
    ['Checks', `${count(review.way)}`, `${count(review.best)}`],
    ['Minutes that told little', minutesWords(review.needless), ''],
    ['Hints', `${review.hints}`, ''],
  ] as const;
  return (
    <table className="w-full max-w-xl text-left">
      <thead>
        <tr className="tag">
          <th className="py-1">So it went</th>
          <th>yours</th>
          <th>the best way</th>
        </tr>
      </thead>
      <tbody className="divide-y divide-rule">
        {rows.map(([what, own, best]) => (
          <tr key={what}>
            <th className="py-1 font-normal">{what}</th>
            <td className="font-semibold">{own}</td>
            <td>{best}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
const count = (way: Review['way']): number => way.filter((s) => s.kind === 'check').length;

function Where({ review, place, count: times }: { review: Review; place: number | null; count: number }) {
  const step = place === null ? undefined : review.way[place];
  if (!step) return null;
  return (
    <span className="text-[14px] text-soft">
      {' '}
      {times > 1 ? `${times} times, first at ` : 'at '}
      move {place! + 1}
      {step.label ? `, ${step.label.toLowerCase()}` : ''}
    </span>
  );
}

/** Step by step: what each told, and what would have told more. */
function Steps({ review }: { review: Review }) {
  return (
    <Folded name="Move by move" className="card p-4">
      <ol className="grid gap-3">
        {review.way.map((step, k) => {
          const worth = review.tutored[k];
          return step.kind === 'other' ? null : (
            <li key={k}>
              <p className="flex flex-wrap gap-x-3">
                <span className="tag w-8">{k + 1}</span>
                <b className="grow">{step.label}</b>
                <span>{percent(step.belief)}</span>
              </p>
              {worth && <WorthWords worth={worth} />}
            </li>
          );
        })}
      </ol>
    </Folded>
  );
}
