import { idleScrew, USUAL_DROP, USUAL_TURNS, type Screw, type ScrewSays } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';
import { PairsForm } from './PairsForm.tsx';
import { turnsOut } from '../../words/sheets.ts';
import { useSheet } from './useSheet.ts';

const SCREWS = [
  { value: 'fuel', label: 'Turning it in makes it leaner' },
  { value: 'air', label: 'Turning it in makes it richer' },
] as const;
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
      about="Engine warm. Turn the screw in until it just touches its seat, never hard, then out in half turns. Read the idle speed at each. One screw at a time."
    >
      <Choice label="Mixture screw" value={sheet.screw} options={SCREWS} onChange={(screw: Screw) => put({ screw })} />
      <PairsForm
        sides={[
          { label: 'Turns out', figure: turns, within: { low: 0, high: 8 } },
          { label: 'Idle speed, rev/min', figure: rpm, within: { low: 200, high: 3000 } },
        ]}
        add="Add reading"
        takenLabel="Readings"
        taken={sheet.rows.map((r) => `${turnsOut(r.turns)}: ${r.rpm.toFixed(0)} rev/min`)}
        onAdd={(out, speed) => put({ rows: [...sheet.rows, { turns: out, rpm: speed }] })}
        onTakeBack={() => put({ rows: sheet.rows.slice(0, -1) })}
      />
      <FigureField
        label="Lean drop, rev/min"
        figure={drop}
        hint={`From the machine’s book; ${USUAL_DROP} if it gives none.`}
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
    return 'The screw does nothing: the throttle is open too far at idle, the idle passage is blocked, or air or fuel comes in somewhere else.';
  if (says.kind === 'beyond') return `Still getting faster: turn it further ${says.way} and take another reading.`;
  const { bestTurns, bestRpm, leaveTurns } = says;
  const turns = (t: number) => `${Math.max(0, t).toFixed(1)} turns out`;
  const usual =
    bestTurns < USUAL_TURNS.low
      ? ' So far in means too rich from elsewhere: float level, float needle, or the throttle open too far.'
      : bestTurns > USUAL_TURNS.high
        ? ' So far out means too lean: a blocked idle passage or an air leak.'
        : '';
  return `Fastest ${turns(bestTurns)}, at ${bestRpm.toFixed(0)} rev/min. Leave the screw ${turns(leaveTurns)}, then set the idle speed.${usual}`;
}
