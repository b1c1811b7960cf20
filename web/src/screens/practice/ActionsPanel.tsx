import { TRY_IT, type ModelView, type MoveAsk, type StoredLesson } from '@pondu/core';
import { CircleHelp, Flag, Flame, Lightbulb, MessageCircle, Play, Wrench } from 'lucide-react';
import { useState } from 'react';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { minutesWords, moneyWords } from '../../words/belief.ts';
import { hintWords, WAIT_WORDS } from '../../words/practice.ts';
import type { LessonPlay } from './useLessonPlay.ts';

type How = keyof typeof WAIT_WORDS;
const WAIT_MINUTES: readonly { value: string; label: string }[] = [5, 15, 30, 60].map((m) => ({
  value: `${m}`,
  label: `${m} minutes`,
}));

/** What is not a check: trying it, asking, waiting, fitting, a hint, and giving it back. */
export function ActionsPanel({
  stored,
  play,
  repairs,
  faults,
  onCheck,
}: {
  stored: StoredLesson;
  play: LessonPlay;
  repairs: ModelView['repairs'];
  faults: ModelView['faults'];
  onCheck: (checkId: string) => void;
}) {
  const { moves, lesson } = stored;
  const make = (ask: MoveAsk) => void play.make(ask);
  const last = moves.at(-1)?.answer;
  const asked = new Set(moves.flatMap(({ ask }) => (ask.kind === 'ask' ? [ask.what] : [])));
  return (
    <section aria-label="What else" className="card grid gap-3 p-3">
      <Button disabled={play.busy} onClick={() => onCheck(TRY_IT)}>
        <Play aria-hidden className="size-5" /> Try the engine
      </Button>
      <div className="grid grid-cols-2 gap-2">
        <Button disabled={play.busy || asked.has('since')} onClick={() => make({ kind: 'ask', what: 'since' })}>
          <MessageCircle aria-hidden className="size-5" /> Since when?
        </Button>
        <Button disabled={play.busy || asked.has('before')} onClick={() => make({ kind: 'ask', what: 'before' })}>
          <CircleHelp aria-hidden className="size-5" /> Done before?
        </Button>
      </div>
      <Owner stored={stored} />
      <Fitting repairs={repairs} faults={faults} currency={lesson.house.currency} play={play} />
      <Waiting play={play} />
      <div className="grid gap-2 border-t border-rule pt-3">
        <Button disabled={play.busy} onClick={() => make({ kind: 'hint' })}>
          <Lightbulb aria-hidden className="size-5" /> A hint
        </Button>
        {last?.kind === 'hint' && (
          <p role="status" className="rounded-lg bg-sunk p-3">
            {hintWords(last.hint)}
          </p>
        )}
        <Button disabled={play.busy} onClick={() => make({ kind: 'end' })}>
          <Flag aria-hidden className="size-5" /> Give it back to its owner
        </Button>
        <p className="text-[13px] text-soft">Mended or given up: what was wrong is told then.</p>
      </div>
    </section>
  );
}

/** What the owner told when he was asked. */
function Owner({ stored: { moves, view } }: { stored: StoredLesson }) {
  const told = moves.flatMap(({ answer }) => (answer.kind === 'told' ? [answer] : []));
  if (told.length === 0) return null;
  return (
    <ul className="grid gap-1 text-[15px]" aria-label="What its owner says">
      {told.map((t) => (
        <li key={t.what}>
          <q>{t.words || (t.what === 'before' ? 'Nothing that I know of.' : 'I do not know.')}</q>
        </li>
      ))}
      {view.complaint.recent?.length ? <li className="text-soft">What was touched last is asked first.</li> : null}
    </ul>
  );
}

function Fitting({
  repairs,
  faults,
  currency,
  play,
}: {
  repairs: ModelView['repairs'];
  faults: ModelView['faults'];
  currency: string;
  play: LessonPlay;
}) {
  const [chosen, setChosen] = useState('');
  const repair = repairs.find((r) => r.id === chosen);
  const partOf = (id: string) => faults.find((f) => f.repairId === id)?.part;
  const options = repairs
    .flatMap((r) => {
      const part = partOf(r.id);
      return part ? [{ value: r.id, label: `${part}: ${r.label.toLowerCase()}` }] : [];
    })
    .sort((a, b) => a.label.localeCompare(b.label));
  const fit = async () => {
    if (await play.make({ kind: 'fit', repairId: chosen })) setChosen('');
  };
  return (
    <div className="grid gap-2 border-t border-rule pt-3">
      <SelectField
        label="Put right"
        value={chosen}
        options={[{ value: '', label: 'Choose what' }, ...options]}
        onChange={setChosen}
      />
      {repair && (
        <Button disabled={play.busy} onClick={() => void fit()}>
          <Wrench aria-hidden className="size-5" /> Do it: {minutesWords(repair.minutes)},{' '}
          {moneyWords(repair.money, currency)}
        </Button>
      )}
    </div>
  );
}

function Waiting({ play }: { play: LessonPlay }) {
  const [how, setHow] = useState<How>('run');
  const [minutes, setMinutes] = useState('15');
  const ways = (Object.keys(WAIT_WORDS) as How[]).map((value) => ({ value, label: WAIT_WORDS[value].label }));
  return (
    <div className="grid grid-cols-2 gap-2 border-t border-rule pt-3">
      <SelectField label="Let time pass" value={how} options={ways} onChange={(v) => setHow(v as How)} />
      <SelectField label="For" value={minutes} options={WAIT_MINUTES} onChange={setMinutes} />
      <Button
        className="col-span-2"
        disabled={play.busy}
        onClick={() => void play.make({ kind: 'wait', how, minutes: Number(minutes) })}
      >
        <Flame aria-hidden className="size-5" /> {WAIT_WORDS[how].label}
      </Button>
    </div>
  );
}
