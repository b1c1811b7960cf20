import { pumpedCurve, pumpSays, USUAL_PULLS, type PumpedCurve, type PumpSays } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { labelled, showBand, showQuantity } from '../../units/quantity.ts';
import { Answer, Part, useFigure } from './figure.tsx';
import { PairsForm } from './PairsForm.tsx';
import { turned } from './turned.ts';
import { useSheet } from './useSheet.ts';

const HOLDS = [
  { value: 'holds', label: 'The needle stays' },
  { value: 'falls', label: 'The needle falls back' },
] as const;

const SAYS: Readonly<Record<PumpSays, string>> = {
  leaks: 'Its diaphragm leaks: renew the unit.',
  still: 'It holds and does not move: free the plate it turns and the link to it.',
  backwards: 'It turns the spark later: a unit for another distributor.',
  rising: 'It was still rising: pull harder, and once more, before it is judged.',
  little: 'Too little: the link is bent or hung wrong, or the plate stops short.',
  much: 'Too much: a unit for another engine, or its stop is gone.',
  'as it should': 'It gives what its plate says.',
};

/** A vacuum advance by itself: pulled by a hand pump, read with the light. */
export function PumpPart({ stored, plate }: { stored: StoredJob; plate: { low: number; high: number } }) {
  const key = `${stored.id}.pump`;
  const { sheet, put, save, changed } = useSheet(stored, 'pump', { kind: 'pump', rows: [], holds: true });
  const pull = useFigure(`${key}.pull`, 'pressure', { below: true });
  const shown = useFigure(`${key}.shown`, 'angle');
  const rows = [...sheet.rows].sort((a, b) => a.pullPascal - b.pullPascal);
  const curve = pumpedCurve(rows);
  return (
    <Part
      title="Vacuum advance by hand pump"
      about="Its hose off and plugged, a hand pump on the unit, the engine held at one speed. First without a pull, then by steps, twice at the strongest."
    >
      <PairsForm
        sides={[
          {
            label: labelled('Pull', 'pressure', { below: true }),
            figure: pull,
            within: { low: -100e3, high: 100e3 },
          },
          { label: 'Light shows then, degrees', figure: shown, within: { low: -60, high: 90 } },
        ]}
        add="Add this pull"
        takenLabel="Pulls"
        taken={rows.map((r) => `${showQuantity(-r.pullPascal, 'pressure')}: ${showQuantity(r.degrees, 'angle')}`)}
        // A pull is typed with or without its minus sign.
        onAdd={(pascal, degrees) => put({ rows: [...sheet.rows, { pullPascal: Math.abs(pascal), degrees }] })}
        onTakeBack={() => put({ rows: sheet.rows.slice(0, -1) })}
      />
      <Choice
        label="Pump let go of, the hose still on"
        value={sheet.holds ? 'holds' : 'falls'}
        options={HOLDS}
        onChange={(value) => put({ holds: value === 'holds' })}
      />
      <Answer>{curve ? `${curveWords(curve)} ${SAYS[pumpSays(curve, sheet.holds, plate)]}` : ''}</Answer>
      <p className="text-[14px] text-soft">
        {curve ? '' : 'Three different pulls tell where it begins and what it gives. '}Its plate says{' '}
        {showBand(plate.low, plate.high, 'angle')} in all. Most begin at {pulls(USUAL_PULLS.start)} and have given all
        of it by {pulls(USUAL_PULLS.full)}; a spring of another unit moves both.
      </p>
      <Button className="justify-self-start" disabled={!changed || rows.length === 0} onClick={() => void save()}>
        Write it down
      </Button>
    </Part>
  );
}

/** A pull is said as a vacuum, whichever end comes first. */
const pulls = ({ low, high }: { low: number; high: number }) => showBand(-low, -high, 'pressure');

function curveWords({ gain, startPascal, fullPascal }: PumpedCurve): string {
  if (startPascal === undefined) return '';
  const to = fullPascal === undefined ? '' : `, all of it by ${showQuantity(-fullPascal, 'pressure')}`;
  return `${turned(gain)} in all, from ${showQuantity(-startPascal, 'pressure')}${to}.`;
}
