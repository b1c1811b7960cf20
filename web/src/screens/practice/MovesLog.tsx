import type { ModelView, Move, StoredLesson } from '@pondu/core';
import { hintWords, waitWords } from '../../words/practice.ts';
import { checkOf, labelOf } from '../../words/checks.ts';
import { answerWords, STANDING_WORDS } from './answerWords.ts';

type Checks = ModelView['checks'];

function moveWords({ ask, answer }: Move, checks: Checks): { what: string; showed: string } {
  switch (ask.kind) {
    case 'check': {
      const what = ask.probe ? 'Your own probe' : labelOf(checks, ask.checkId);
      if (answer.kind === 'reading') return { what, showed: answerWords(answer, checkOf(checks, ask.checkId)) };
      return { what, showed: answer.kind === 'refused' ? 'not done: a caution' : 'not there' };
    }
    case 'wait':
      return { what: waitWords(ask, answer.kind === 'waited' && answer.ran), showed: '' };
    case 'ask':
      return { what: ask.what === 'since' ? 'Asked since when' : 'Asked what was done before', showed: '' };
    case 'fit':
      return { what: answer.kind === 'fitted' ? answer.what : ask.repairId, showed: 'done' };
    case 'hint':
      return { what: answer.kind === 'hint' ? `Hint: ${hintWords(answer.hint)}` : 'Hint', showed: '' };
    case 'end':
      return { what: 'Given back', showed: '' };
  }
}

/** Every move, the latest first. */
export function MovesLog({ stored: { moves, view }, checks }: { stored: StoredLesson; checks: Checks }) {
  const lines = moves.map((move, place) => ({
    place,
    standing: view.standings[place] ?? null,
    ...moveWords(move, checks),
  }));
  return (
    <section aria-label="Moves" className="card p-3">
      <h2 className="text-lg">Moves: {moves.length}</h2>
      {moves.length === 0 && <p className="text-soft">Begin with what takes seconds: look, listen, ask.</p>}
      <ol reversed className="divide-y divide-rule">
        {lines.reverse().map(({ place, what, showed, standing }) => (
          <li key={place} className="flex flex-wrap items-baseline gap-x-3 py-1.5 text-[15px]">
            <span className="grow basis-40">{what}</span>
            <b className={standing && standing !== 'well' ? 'text-lost' : ''}>{showed}</b>
            {standing && standing !== 'well' && (
              <span className="text-[13px] text-lost">{STANDING_WORDS[standing]}</span>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
