import type { Habit, LessonRow } from '@pondu/core';
import { Chart } from '../../chart/Chart.tsx';
import { FINDING_WORDS } from '../../words/practice.ts';

/** Fewer lessons than this make no line. */
const LINE_FROM = 2;

/** What comes back from lesson to lesson, and whether the way gets nearer to the best one. */
export function HabitsPanel({ habits, lessons }: { habits: readonly Habit[]; lessons: readonly LessonRow[] }) {
  const over = [...lessons]
    .reverse()
    .flatMap(({ past, machine }) => (past && past.bestMinutes > 0 ? [{ past, machine }] : []));
  const times = over.map(({ past }) => past.minutes / past.bestMinutes);
  return (
    <section aria-label="What comes back" className="card grid content-start gap-3 p-4">
      <h2 className="text-lg">What comes back</h2>
      {over.length < LINE_FROM ? (
        <p className="text-soft">After two lessons it is drawn here how near your way came to the best one.</p>
      ) : (
        <Chart
          summary={`Minutes against the best way, lesson by lesson: ${times.map((t) => t.toFixed(1)).join(', ')}.`}
          xWords={(n) => (Number.isInteger(n) ? `${n}` : '')}
          yWords={(t) => `${t}×`}
          axes="lessons along the bottom, minutes against the best way up the side"
          lines={[
            { at: times.map((_, k) => k + 1), values: times, label: 'your way', tone: 'ink' },
            { at: [1, times.length], values: [1, 1], label: 'the best way', tone: 'well', dash: '5 4' },
          ]}
          dots={over.map(({ past, machine }, k) => ({
            x: k + 1,
            y: times[k]!,
            hollow: !past.found,
            label: `${machine}: ${past.found ? 'found' : 'not found'}`,
          }))}
          floor={0}
          height={190}
        />
      )}
      {over.some(({ past }) => !past.found) && over.length >= LINE_FROM && (
        <p className="text-[14px] text-soft">Hollow: not found.</p>
      )}
      {habits.length === 0 ? (
        <p className="text-soft">No habit shows yet.</p>
      ) : (
        <ul className="grid gap-2">
          {habits.map(({ id, lessons: count, lately }) => (
            <li key={id}>
              <b>{FINDING_WORDS[id].label}</b>{' '}
              <span className="text-[14px] text-soft">
                in {count} lessons, {lately === 0 ? 'not lately' : `${lately} of the last five`}
              </span>
              <p className="text-[14px]">{FINDING_WORDS[id].instead}</p>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
