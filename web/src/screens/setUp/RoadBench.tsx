import { NOTICED, roadVerdict, type House, type Noticed } from '@pondu/core';
import { useEffect, useState } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SCHOOL_OPTIONS } from '../../words/schools.ts';
import { Answer, Care, FigureField, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';
import { showQuantity } from '../../units/quantity.ts';

const WORDS: Readonly<Record<Noticed, string>> = {
  knock: 'Knocks',
  hesitation: 'Hesitates',
  surge: 'Surges',
  'hot start slow': 'Slow to start hot',
  'kicks back': 'Kicks back',
  'runs hot': 'Runs hot',
  'pulls well': 'Pulls well',
};
/** Minutes and seconds since the round began, for whoever sits beside. */
function useClock(started: number | null): string {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (started === null) return undefined;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [started]);
  const seconds = started === null ? 0 : Math.max(0, Math.floor((now - started) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Rounds of a degree or two with what was noticed; the highest without knock, a step back. */
export function RoadBench({ stored, house }: { stored: StoredJob; house: House }) {
  const { sheet, put, save } = useSheet(stored, 'road', { kind: 'road', rounds: [], school: house.timing });
  const set = useFigure(`${stored.id}.road.set`, 'angle');
  const [noticed, setNoticed] = useDraft<Noticed[]>(`${stored.id}.road.noticed`, []);
  const [started, setStarted] = useDraft<number | null>(`${stored.id}.road.started`, null);
  const clock = useClock(started);
  const verdict = roadVerdict(sheet.rounds);
  const last = sheet.rounds[sheet.rounds.length - 1];
  async function done() {
    if (set.value === undefined) return;
    if (!(await save({ ...sheet, rounds: [...sheet.rounds, { degrees: set.value, noticed, words: '' }] }))) return;
    setNoticed([]);
    setStarted(null);
    set.clear();
  }
  return (
    <div className="grid gap-4">
      <Care>
        The passenger writes, the driver drives: on a quiet road, within its rules. On the water, mind who is about.
      </Care>
      <Choice
        label="Set by"
        value={sheet.school}
        options={SCHOOL_OPTIONS}
        onChange={(school) => put({ school })}
        columns="sm:grid-cols-3"
      />
      <div className="flex flex-wrap items-center gap-4">
        <span className="figures text-4xl font-semibold" role="timer">
          {clock}
        </span>
        <span className="text-[17px]">
          {last ? `Last round ${showQuantity(last.degrees, 'angle')}` : 'No round yet'}
        </span>
        <Button className="!min-h-16 text-lg" onClick={() => setStarted(started === null ? Date.now() : null)}>
          {started === null ? 'Set off' : 'Stop the clock'}
        </Button>
      </div>
      <FigureField label="Set to, degrees before top at idle" figure={set} />
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        {NOTICED.map((n) => (
          <Button
            key={n}
            aria-pressed={noticed.includes(n)}
            className={`!min-h-16 text-lg ${noticed.includes(n) ? '!bg-ink !text-panel' : ''}`}
            onClick={() => setNoticed(noticed.includes(n) ? noticed.filter((x) => x !== n) : [...noticed, n])}
          >
            {WORDS[n]}
          </Button>
        ))}
      </div>
      <Button look="do" className="justify-self-start" disabled={set.value === undefined} onClick={() => void done()}>
        Round done
      </Button>
      <Answer>
        {verdict.keep !== undefined
          ? `Keep ${showQuantity(verdict.keep, 'angle')}: the highest that was driven clean, a step or more below what knocked.`
          : verdict.next?.do === 'earlier'
            ? `Next round: ${showQuantity(verdict.next.degrees, 'angle')}, earlier.`
            : verdict.next
              ? `Next round: ${showQuantity(verdict.next.degrees, 'angle')}, later.`
              : ''}
      </Answer>
      {sheet.rounds.length > 0 && (
        <table className="w-full text-[15px]">
          <thead>
            <tr className="tag text-left">
              <th>Round</th>
              <th>Set to</th>
              <th>Noticed</th>
            </tr>
          </thead>
          <tbody>
            {sheet.rounds.map((r, k) => (
              <tr key={k} className="border-t border-rule">
                <td>{k + 1}</td>
                <td>{showQuantity(r.degrees, 'angle')}</td>
                <td>{r.noticed.map((n) => WORDS[n].toLowerCase()).join(', ') || 'nothing'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
