import type { CheckView, Landing, Move, Ruler, StoredLesson, Tutored } from '@pondu/core';
import { GraduationCap, Hand } from 'lucide-react';
import { useEffect, useRef, useState } from 'react';
import { worthOf } from '../../api/practice.ts';
import { problemOf } from '../../api/problem.ts';
import { useWells } from '../../tracer/useTracer.ts';
import { ReadingRuler } from '../../ruler/ReadingRuler.tsx';
import { MannerPicture } from '../../manner/MannerPicture.tsx';
import { Button } from '../../ui/Button.tsx';
import { minutesWords, percent } from '../../words/belief.ts';
import { Cautions } from '../job/Cautions.tsx';
import { answerWords, STANDING_WORDS } from './answerWords.ts';
import type { LessonPlay } from './useLessonPlay.ts';
import type { InHand } from './WorkView.tsx';

type Standing = StoredLesson['view']['standings'][number];

/** One check in hand: how it is done, and what it showed. */
export function CheckPanel({
  check,
  inHand,
  stored,
  play,
}: {
  check: CheckView;
  inHand: InHand;
  stored: StoredLesson;
  play: LessonPlay;
}) {
  const { moves, view } = stored;
  const heading = useRef<HTMLHeadingElement>(null);
  // Chosen from a list far below, it comes into view, and keys go on from here.
  useEffect(() => heading.current?.focus(), []);
  const [understood, setUnderstood] = useState(false);
  const fresh = understood ? [] : check.cautions.filter((c) => !view.understood.includes(c));
  const toOpen = check.opens.filter((o) => !view.opened.includes(o));
  const place = moves.findLastIndex(({ ask }) => ask.kind === 'check' && ask.checkId === check.id);
  const last = moves[place];
  const doIt = () =>
    play.make({
      kind: 'check',
      checkId: check.id,
      ...(inHand.probe ? { probe: inHand.probe } : {}),
      understood: fresh.length === 0,
    });
  return (
    <section aria-label="Check in hand" aria-busy={play.busy} className="card grid gap-2.5 p-3 sm:p-4">
      <h2 ref={heading} tabIndex={-1} className="text-xl outline-none">
        {check.label}
      </h2>
      <div className="flex items-start gap-3">
        <dl className="grid min-w-0 grow gap-1">
          {(['set', 'touch', 'watch'] as const).map((line) => (
            <div key={line} className="flex gap-2">
              <dt className="w-16 shrink-0 font-semibold first-letter:uppercase">{line}</dt>
              <dd>{check[line]}</dd>
            </div>
          ))}
        </dl>
        <MannerPicture manner={check.manner} className="hidden w-28 shrink-0 text-soft sm:block" />
      </div>
      {toOpen.length > 0 && <p className="text-[14px] text-warn">Must be opened first: {toOpen.join(', ')}.</p>}
      <Cautions ids={check.cautions} fresh={fresh} onUnderstood={() => setUnderstood(true)} />
      <div className="flex flex-wrap items-center gap-3">
        <Button look="do" disabled={play.busy} onClick={() => void doIt()}>
          <Hand aria-hidden className="size-5" /> {last?.answer.kind === 'reading' ? 'Do it once more' : 'Do it'}
        </Button>
        <span className="text-[14px] text-soft">
          {minutesWords(check.minutes)}, {check.instrumentLabel.toLowerCase()}
        </span>
      </div>
      {last && (
        <Answer
          key={place}
          check={check}
          move={last}
          place={place}
          standing={view.standings[place] ?? null}
          stored={stored}
        />
      )}
    </section>
  );
}

function Answer({
  check,
  move,
  place,
  standing,
  stored,
}: {
  check: CheckView;
  move: Move;
  place: number;
  standing: Standing;
  stored: StoredLesson;
}) {
  const { lesson, view } = stored;
  const { answer } = move;
  const input = { machine: lesson.machine, house: lesson.house, complaint: view.complaint, events: view.events };
  const wells = useWells(answer.kind === 'reading' && check.dimension ? input : undefined, [check.id]);
  const well = wells.data?.[check.id];
  if (answer.kind === 'refused')
    return (
      <p role="alert" className="font-medium text-danger">
        Not done: read the caution first. It is told because somebody was hurt.
      </p>
    );
  if (answer.kind === 'not there')
    return <p role="alert">There is no such place on this machine, whatever its book says.</p>;
  if (answer.kind !== 'reading') return null;
  return (
    <div className="grid gap-2 border-t border-rule pt-2">
      <p role="status" className="flex flex-wrap items-baseline gap-x-4">
        <b className="text-2xl">{answerWords(answer, check)}</b>
        {standing && (
          <span className={standing === 'well' ? 'text-well' : 'font-semibold text-lost'}>
            {STANDING_WORDS[standing]}
          </span>
        )}
        {answer.conditions.faultPresent === 'no' && <span className="text-warn">It ran well just then.</span>}
      </p>
      {well && check.dimension && <ReadingRuler ruler={rulerOf(check, well)} reading={numberOf(answer)} />}
      <Worth id={stored.id} place={place} />
    </div>
  );
}

const rulerOf = (check: CheckView, well: Landing): Ruler => ({
  dimension: check.dimension,
  words: check.words,
  well,
  suspects: [],
});
const numberOf = ({ value }: Extract<Move['answer'], { kind: 'reading' }>): number | undefined =>
  value.kind === 'number' ? value.value : value.kind === 'open' ? Infinity : undefined;

/** What the tutor says of it, where he is asked. */
function Worth({ id, place }: { id: string; place: number }) {
  const [worth, setWorth] = useState<Tutored | null>();
  const [error, setError] = useState('');
  const ask = async () => {
    try {
      setWorth(await worthOf(id, place));
    } catch (failed) {
      setError(problemOf(failed).message);
    }
  };
  if (error) return <p role="alert">{error}</p>;
  if (!worth)
    return (
      <Button look="quiet" className="justify-self-start" onClick={() => void ask()}>
        <GraduationCap aria-hidden className="size-5" /> What was it worth?
      </Button>
    );
  return <WorthWords worth={worth} />;
}

export function WorthWords({ worth }: { worth: Tutored }) {
  const { best, bits, needless, gone } = worth;
  return (
    <div className="rounded-lg bg-sunk p-3 text-[15px]">
      <p>
        It could tell {bits.toFixed(2)} bits in {minutesWords(worth.minutes)}; {worth.openBefore.toFixed(1)} bits were
        open before it, {worth.openAfter.toFixed(1)} after.
      </p>
      {needless > 0.5 && best && (
        <p>
          More for its minutes: <b>{best.label}</b>, {best.bits.toFixed(2)} bits in {minutesWords(best.minutes)}.
        </p>
      )}
      {gone.length > 0 && (
        <ul className="mt-1 list-disc pl-5 text-[14px]">
          {gone.map((g) => (
            <li key={g.part + g.how}>
              Ruled out: {g.part.toLowerCase()} {g.how} (from {percent(g.before)} to {percent(g.after)}).
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
