import {
  answerMove,
  deal,
  habitsOf,
  lessonView,
  modelView,
  reviewOf,
  TracerCache,
  type LessonPast,
  type LessonRow,
  type Move,
  type MoveAsk,
  type StoredLesson,
} from '@pondu/core';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, house, machine, tracer } from '../../__tests__/support.tsx';
import { useLesson } from '../../api/practice.ts';
import { FINDING_WORDS, hintWords, twistWords, waitWords } from '../../words/practice.ts';
import { ActionsPanel } from './ActionsPanel.tsx';
import { answerWords } from './answerWords.ts';
import { CheckChoice } from './CheckChoice.tsx';
import { HabitsPanel } from './HabitsPanel.tsx';
import { LessonList } from './LessonList.tsx';
import { MovesLog } from './MovesLog.tsx';
import { ReviewView } from './ReviewView.tsx';
import { useLessonPlay } from './useLessonPlay.ts';
import { pickFrom } from '../../__tests__/pickFrom.ts';

const { lesson, truth } = deal({ machine, house, twists: [], seed: 3, faults: ['condenser.shorted'] }, tracer);
const model = modelView(new TracerCache(2), machine, house);
const storedLesson = (moves: readonly Move[]): StoredLesson => ({
  id: 'l',
  lesson,
  machineId: 'm',
  moves,
  view: lessonView(tracer, lesson, moves),
  begunAt: '2026-01-01T08:00:00Z',
  by: 'JM',
});
const played = (...asks: MoveAsk[]): Move[] => {
  const moves: Move[] = [];
  for (const ask of asks) moves.push(answerMove({ tracer, lesson, truth, moves }, ask));
  return moves;
};
const check = (checkId: string): MoveAsk => ({ kind: 'check', checkId, understood: true });

/** A workshop that plays the lesson by the real core. */
let moves: Move[];
let refuse: string | undefined;
beforeEach(() => {
  moves = [];
  refuse = undefined;
  vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
    const answer = (body: unknown, status = 200) => Promise.resolve(new Response(JSON.stringify(body), { status }));
    if (url.endsWith('/review')) return answer({ review: reviewOf(tracer, lesson, truth, moves), others: [] });
    if (init?.method === 'POST') {
      if (refuse) return answer({ title: refuse, type: 'urn:pondu:moved' }, 409);
      const { ask } = JSON.parse(init.body as string) as { ask: MoveAsk };
      moves = [...moves, answerMove({ tracer, lesson, truth, moves }, ask)];
    }
    return answer(storedLesson(moves));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** The actions beside the log, as the page has them. */
function Play() {
  const { data } = useLesson('l');
  return data ? <Playing stored={data} /> : null;
}
function Playing({ stored }: { stored: StoredLesson }) {
  const play = useLessonPlay(stored);
  return (
    <>
      <p role="alert">{play.error}</p>
      <ActionsPanel
        stored={stored}
        play={play}
        repairs={model.repairs}
        faults={model.faults}
        onCheck={() => undefined}
      />
      <MovesLog stored={stored} checks={model.checks} />
    </>
  );
}
const shown = (element: React.ReactElement) => render(<Around>{element}</Around>);
const press = async (name: string | RegExp) => userEvent.click(await screen.findByRole('button', { name }));

describe('the work on a lesson', () => {
  it('asks, takes hints, fits a part for its money, and writes each move down', async () => {
    shown(<Play />);
    await press('Since when?');
    expect(await screen.findByRole('list', { name: 'What its owner says' })).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Since when?' }).hasAttribute('disabled')).toBe(true);
    await press('A hint');
    expect((await screen.findByRole('status')).textContent).toBe('Most speaks for spark.');
    await pickFrom('Put right', 'condenser.replace');
    await press(/^Do it: .*€/);
    await screen.findByText('Moves: 3');
    const log = within(screen.getByRole('region', { name: 'Moves' }));
    expect(log.getByText(/^Condenser: /)).toBeTruthy();
    expect(moves.map((m) => m.ask.kind)).toEqual(['ask', 'hint', 'fit']);
  });
  it('says what was refused, and asks the workshop how it stands', async () => {
    shown(<Play />);
    refuse = 'Somebody has gone on with this lesson meanwhile.';
    await press('Done before?');
    await waitFor(() => expect(screen.getByRole('alert').textContent).toBe(refuse));
    expect(moves).toEqual([]);
  });
  it('lists checks in no order of advice, by name and by station, and tells which were made', async () => {
    const onChoose = vi.fn();
    const checks = model.checks.map((c) => c.check);
    const choice = (station?: string) => (
      <CheckChoice {...{ checks, station, onChoose }} stations={model.stations} done={played(check('battery-rest'))} />
    );
    const { rerender } = shown(choice());
    await userEvent.type(screen.getByRole('searchbox'), 'battery volts, at rest');
    const found = await screen.findByRole('button', { name: /^Battery volts, at rest/ });
    expect(found.textContent).toContain('done');
    await userEvent.click(found);
    expect(onChoose).toHaveBeenCalledWith('battery-rest');
    await userEvent.clear(screen.getByRole('searchbox'));
    rerender(<Around>{choice('condenser')}</Around>);
    const own = checks.filter((c) => c.station === 'condenser').map((c) => c.label);
    await waitFor(() =>
      expect(screen.getAllByRole('listitem').map((li) => own.some((l) => li.textContent.startsWith(l)))).toEqual(
        own.map(() => true),
      ),
    );
  });
});

describe('the review', () => {
  it('tells what was wrong, both ways in figures and as a picture, and what to do otherwise', async () => {
    moves = played({ kind: 'fit', repairId: 'coil.replace' }, check('points-line-to-earth'), { kind: 'end' });
    shown(<ReviewView stored={storedLesson(moves)} />);
    expect((await screen.findByRole('region', { name: 'What was wrong' })).textContent).toMatch(
      /Not found: Condenser .*short/,
    );
    const picture = screen.getByRole('img', { name: /^Belief in what was wrong/ });
    expect(picture.getAttribute('aria-label')).toMatch(/Your way: Coil: .*The best way: /);
    const otherwise = screen.getByRole('region', { name: 'What to do otherwise' });
    for (const id of ['not found', 'fitted in vain', 'one witness'] as const)
      expect(otherwise.textContent).toContain(FINDING_WORDS[id].label);
    expect(otherwise.textContent).toContain('at move 1, coil: ');
  });
});

describe('what comes back', () => {
  const past = (of: Partial<LessonPast>): LessonPast => ({
    machineId: 'm',
    found: true,
    findings: [],
    faults: ['a.b'],
    minutes: 30,
    bestMinutes: 10,
    trails: ['spark'],
    ...of,
  });
  const row = (id: string, of: Partial<LessonPast>): LessonRow => ({
    id,
    course: null,
    machine: 'Barge',
    machineId: 'm',
    twists: ['two faults'],
    seed: 7,
    set: false,
    complaint: lesson.complaint,
    moves: 4,
    over: true,
    past: past(of),
    begunAt: '2026-01-01T08:00:00Z',
    by: 'AK',
  });
  it('is drawn over the lessons, oldest first, with the habits and what to do instead', () => {
    // The list has the newest first.
    const lessons = [
      row('b', { minutes: 12, findings: ['unproved'] }),
      row('a', { found: false, findings: ['unproved'] }),
    ];
    const habits = habitsOf(lessons.map((l) => l.past!));
    shown(<HabitsPanel habits={habits} lessons={lessons} />);
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('3.0, 1.2');
    expect(screen.getByText(FINDING_WORDS.unproved.instead)).toBeTruthy();
    expect(screen.getByText('Hollow: not found.')).toBeTruthy();
  });
  it('each lesson stands in its list with how it ended', () => {
    const open = { ...row('c', {}), over: false, past: null, moves: 1 };
    shown(<LessonList lessons={[open, row('b', { found: false }), row('a', {})]} />);
    const lines = screen.getAllByRole('listitem').map((li) => li.textContent);
    expect(lines[0]).toContain('under way, 1 move');
    expect(lines[1]).toContain('not found');
    expect(lines[2]).toContain('found in 30 min');
    expect(lines[2]).toContain('two faults, seed 7, AK');
  });
});

describe('words of the practice bench', () => {
  it('of hints, waits, twists and answers', () => {
    expect(hintWords({ step: 'half', trail: 'spark', half: 'use', station: 'Coil' })).toMatch(/from coil on/);
    expect(hintWords({ step: 'none' })).toMatch(/Try the engine/);
    expect(waitWords({ kind: 'wait', how: 'run', minutes: 15 }, false)).toBe('Would not run');
    expect(waitWords({ kind: 'wait', how: 'stand', minutes: 60 }, true)).toBe('Stood for 60 minutes');
    expect(twistWords([])).toBe('one fault');
    expect(twistWords(['comes and goes', 'a helper reads'])).toBe('comes and goes, a helper reads');
    const conditions = { warmth: 'cold', faultPresent: 'yes' } as const;
    const say = (value: { kind: 'number'; value: number } | { kind: 'open' }) =>
      answerWords(
        { kind: 'reading', value, conditions, passedOver: [] },
        model.checks.find((c) => c.check.id === 'battery-rest')!.check,
      );
    expect(say({ kind: 'number', value: 12.61 })).toBe('12.6 V');
    expect(say({ kind: 'open' })).toBe('OL');
  });
});
