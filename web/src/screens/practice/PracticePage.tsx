import type { LessonFile, StoredLesson } from '@pondu/core';
import { Check, FolderOpen, RotateCcw } from 'lucide-react';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { beginAgain, beginLesson, useCourse, usePractice, type CourseRow, type Practice } from '../../api/practice.ts';
import { ApiProblem, problemOf } from '../../api/problem.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty, Failed, Loading } from '../../ui/States.tsx';
import { twistWords } from '../../words/practice.ts';
import { DealForm } from './DealForm.tsx';
import { HabitsPanel } from './HabitsPanel.tsx';
import { LessonList } from './LessonList.tsx';

/** Begins a lesson and goes there; what went wrong is said. */
function useBegin() {
  const go = useNavigate();
  const [busy, setBusy] = useState<string>();
  const [error, setError] = useState('');
  const begin = async (what: string, ask: () => Promise<StoredLesson>) => {
    setBusy(what);
    setError('');
    try {
      void go(`/practice/${(await ask()).id}`);
    } catch (failed) {
      setError(problemOf(failed).message);
    } finally {
      setBusy(undefined);
    }
  };
  return { begin, busy, error };
}

/** The practice bench: lessons that ship, lessons drawn on a machine of the shop, and what comes back. */
export function PracticePage() {
  usePageTitle('Practice');
  const practice = usePractice();
  const course = useCourse();
  const { begin, busy, error } = useBegin();
  if (practice.error && !practice.data) return <Failed error={practice.error} retry={() => void practice.mutate()} />;
  if (!practice.data || !course.data) return <Loading what="Opening the practice bench" />;
  const { lessons, habits, due } = practice.data;
  return (
    <div className="mx-auto grid max-w-6xl gap-4 p-3 sm:p-5">
      <div className="flex flex-wrap items-center gap-3">
        <div className="grow">
          <h1 className="text-2xl">Practice</h1>
          <p className="text-soft">
            A machine with something wrong that you are not told. Nothing here counts among jobs, books or figures.
          </p>
        </div>
        <OpenFile onFile={(file) => void begin('file', async () => beginLesson({ file: await readLesson(file) }))} />
        {due > 0 && (
          <Button look="do" disabled={busy !== undefined} onClick={() => void begin('again', beginAgain)}>
            <RotateCcw aria-hidden className="size-5" /> One that you mistook, again
          </Button>
        )}
      </div>
      {error && (
        <p role="alert" className="font-medium text-danger">
          {error}
        </p>
      )}
      {busy && <Loading what="Drawing a machine, and finding the best way through it" />}
      <Course
        course={course.data}
        lessons={lessons}
        busy={busy}
        onBegin={(n) => void begin(`course ${n}`, () => beginLesson({ course: n }))}
      />
      <div className="grid gap-4 lg:grid-cols-2">
        <DealForm busy={busy !== undefined} onDeal={(ask) => void begin('drawn', () => beginLesson(ask))} />
        <HabitsPanel habits={habits} lessons={lessons} />
      </div>
      {lessons.length === 0 ? (
        <Empty title="No lesson was played yet">
          <p className="text-soft">Begin with the first: a battery that turns it slowly.</p>
        </Empty>
      ) : (
        <LessonList lessons={lessons} />
      )}
    </div>
  );
}

/** A lesson that somebody saved. Throws what is wrong with it. */
async function readLesson(file: File): Promise<LessonFile> {
  try {
    return JSON.parse(await file.text()) as LessonFile;
  } catch {
    throw new ApiProblem(0, 'unreadable', `${file.name} is no lesson’s file. Nothing was changed.`);
  }
}

function OpenFile({ onFile }: { onFile: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="A lesson’s file"
        className="sr-only"
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
      <Button onClick={() => input.current?.click()}>
        <FolderOpen aria-hidden className="size-5" /> Open a lesson’s file
      </Button>
    </>
  );
}

function Course({
  course,
  lessons,
  busy,
  onBegin,
}: {
  course: readonly CourseRow[];
  lessons: Practice['lessons'];
  busy: string | undefined;
  onBegin: (n: number) => void;
}) {
  const played = (n: number) => lessons.filter((l) => l.course === n);
  const next = course.find(({ n }) => !played(n).some((l) => l.past?.found))?.n;
  return (
    <section aria-label="Twelve lessons" className="card p-4">
      <h2 className="mb-2 text-lg">Twelve lessons</h2>
      <ol className="grid gap-2 md:grid-cols-2 xl:grid-cols-3">
        {course.map(({ n, title, teaches, machine, twists }) => {
          const open = played(n).find((l) => !l.over);
          const found = played(n).some((l) => l.past?.found);
          return (
            <li key={n} className="grid content-start gap-1 rounded-lg border-[1.5px] border-rule p-3">
              <h3 className="flex items-center gap-2 text-[16px]">
                <span className="condensed text-soft">{n}</span> {title}
                {found && (
                  <>
                    <Check aria-hidden className="size-5 text-well" />
                    <span className="sr-only">found</span>
                  </>
                )}
              </h3>
              <p className="text-[14px]">{teaches}</p>
              <p className="condensed text-[13.5px] text-soft">
                {machine}
                {twists.length > 0 ? `, ${twistWords(twists)}` : ''}
              </p>
              <div className="mt-1">
                {open ? (
                  <Link
                    to={`/practice/${open.id}`}
                    className="inline-flex min-h-12 items-center font-semibold underline"
                  >
                    Go on with lesson {n}
                  </Link>
                ) : (
                  <Button
                    look={n === next ? 'do' : 'plain'}
                    disabled={busy !== undefined}
                    aria-label={`${found ? 'Play' : 'Begin'} lesson ${n}: ${title}`}
                    onClick={() => onBegin(n)}
                  >
                    {found ? 'Play it again' : 'Begin'}
                  </Button>
                )}
              </div>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
