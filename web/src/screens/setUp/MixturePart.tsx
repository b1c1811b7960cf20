import { idleScrew, USUAL_TURNS, type Screw, type ScrewSays } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';
import { PairsForm } from './PairsForm.tsx';
import { useSheet } from './useSheet.ts';

const SCREWS = [
  { value: 'fuel', label: 'Screwed in, it goes leaner' },
  { value: 'air', label: 'Screwed in, it goes richer' },
] as const;
/** How far an idle is brought down on the lean side where no book says, rev/min. */
const USUAL_DROP = 20;

/** The idle mixture by speed: fastest first, then so many revolutions down on the lean side. */
export function MixturePart({ stored }: { stored: StoredJob }) {
  const key = `${stored.id}.mixture`;
  const { sheet, put, save, changed } = useSheet(stored, 'mixture', { kind: 'mixture', rows: [], screw: 'fuel' });
  const [turns, rpm] = [useFigure(`${key}.turns`, 'ratio'), useFigure(`${key}.rpm`, 'speed')];
  const drop = useFigure(`${key}.drop`, 'speed');
  const says = idleScrew(sheet.rows, sheet.screw, Math.abs(drop.value ?? USUAL_DROP));
  return (
    <Part
      title="Idle mixture by speed"
      about="Lightly seated, then out by half turns, the speed read at each; one screw at a time, the others left alone. Never forced into its seat."
    >
      <Choice label="The screw" value={sheet.screw} options={SCREWS} onChange={(screw: Screw) => put({ screw })} />
      <PairsForm
        sides={[
          { label: 'Turns out', figure: turns, within: { low: 0, high: 8 } },
          { label: 'Idles at, rev/min', figure: rpm, within: { low: 200, high: 3000 } },
        ]}
        add="Add this turn"
        takenLabel="Turns tried"
        taken={sheet.rows.map((r) => `${r.turns} out: ${r.rpm.toFixed(0)} rev/min`)}
        onAdd={(out, speed) => put({ rows: [...sheet.rows, { turns: out, rpm: speed }] })}
        onTakeBack={() => put({ rows: sheet.rows.slice(0, -1) })}
      />
      <FigureField
        label="Brought down by, rev/min"
        figure={drop}
        hint={`What the book says; ${USUAL_DROP} where it says nothing.`}
        within={{ low: 0, high: 150 }}
      />
      <Answer>{says ? wordsOf(says) : ''}</Answer>
      <Button className="justify-self-start" disabled={!changed || sheet.rows.length === 0} onClick={() => void save()}>
        Write it down
      </Button>
    </Part>
  );
}

function wordsOf(says: ScrewSays): string {
  if (says.kind === 'flat')
    return 'The screw does nothing: the throttle stands too far open and feeds past it, its passage is blocked, or the engine draws air or fuel from somewhere else.';
  if (says.kind === 'beyond') return `It was still getting faster: try further ${says.way}.`;
  const { bestTurns, bestRpm, leaveTurns } = says;
  const turns = (t: number) => `${Math.max(0, t).toFixed(1)} turns out`;
  const usual =
    bestTurns < USUAL_TURNS.low
      ? ' So far in, something else feeds it: float level, needle, a throttle too far open.'
      : bestTurns > USUAL_TURNS.high
        ? ' So far out, it is starved: a blocked idle passage, or air drawn in beside it.'
        : '';
  return `Fastest at ${turns(bestTurns)}, ${bestRpm.toFixed(0)} rev/min: leave it at ${turns(leaveTurns)}, then set the idle speed.${usual}`;
}
