import { pumpedCurve, pumpSays, USUAL_PULLS, type PumpedCurve, type PumpSays } from '@pondu/core';
import { useMemo } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { labelled, showBand, showQuantity } from '../../units/quantity.ts';
import { Answer, Part, useFigure } from './figure.tsx';
import { PairsForm } from './PairsForm.tsx';
import { turned } from './turned.ts';
import { useSheet } from './useSheet.ts';

const HOLDS = [
  { value: 'holds', label: 'It holds' },
  { value: 'falls', label: 'It drops' },
] as const;

const SAYS: Readonly<Record<PumpSays, string>> = {
  leaks: 'The diaphragm leaks: renew the vacuum advance unit.',
  still: 'It holds vacuum but does not move: free the breaker plate and its link.',
  backwards: 'It retards the spark: this unit is for another distributor.',
  rising: 'Still advancing: apply more vacuum and take another reading.',
  little: 'Too little advance: the link is bent or fitted wrongly, or the breaker plate catches.',
  much: 'Too much advance: the unit is for another engine, or its stop is broken.',
  'as it should': 'As it should be.',
};

/** A vacuum advance by itself: pulled by a hand pump, read with the light. */
export function PumpPart({ stored, plate }: { stored: StoredJob; plate: { low: number; high: number } }) {
  const key = `${stored.id}.pump`;
  const { sheet, put, save, changed } = useSheet(stored, 'pump', { kind: 'pump', rows: [], holds: true });
  const pull = useFigure(`${key}.pull`, 'pressure', { below: true });
  const shown = useFigure(`${key}.shown`, 'angle');
  const rows = [...sheet.rows].sort((a, b) => a.pullPascal - b.pullPascal);
  const curve = useMemo(() => pumpedCurve(sheet.rows), [sheet.rows]);
  return (
    <Part
      title="Vacuum advance with a hand pump"
      about="Hose off and plugged, hand pump on the unit, engine held at a steady speed. First reading without vacuum, then in steps; two readings at the highest vacuum."
    >
      <PairsForm
        sides={[
          {
            label: labelled('Vacuum', 'pressure', { below: true }),
            figure: pull,
            within: { low: -100e3, high: 100e3 },
          },
          { label: 'Timing light, degrees', figure: shown, within: { low: -60, high: 90 } },
        ]}
        add="Add reading"
        takenLabel="Readings"
        taken={rows.map((r) => `${showQuantity(-r.pullPascal, 'pressure')}: ${showQuantity(r.degrees, 'angle')}`)}
        // Vacuum is typed with or without its minus sign.
        onAdd={(pascal, degrees) => put({ rows: [...sheet.rows, { pullPascal: Math.abs(pascal), degrees }] })}
        onTakeBack={() => put({ rows: sheet.rows.slice(0, -1) })}
      />
      <Choice
        label="Vacuum on the pump’s gauge, without pumping"
        value={sheet.holds ? 'holds' : 'falls'}
        options={HOLDS}
        onChange={(value) => put({ holds: value === 'holds' })}
      />
      <Answer>{curve ? `${curveWords(curve)} ${SAYS[pumpSays(curve, sheet.holds, plate)]}` : ''}</Answer>
      <p className="text-[14px] text-soft">
        {curve ? '' : 'Three readings at different vacuum are needed. '}The plate allows{' '}
        {showBand(plate.low, plate.high, 'angle')} in all. Most start at {pulls(USUAL_PULLS.start)} and are all in by{' '}
        {pulls(USUAL_PULLS.full)}.
      </p>
      <Button className="justify-self-start" disabled={!changed || rows.length === 0} onClick={() => void save()}>
        Write it down
      </Button>
    </Part>
  );
}

/** Said as a vacuum, the weaker end first. */
const pulls = ({ low, high }: { low: number; high: number }) => showBand(-low, -high, 'pressure');

function curveWords({ gain, startPascal, fullPascal }: PumpedCurve): string {
  if (startPascal === undefined) return '';
  const to = fullPascal === undefined ? '' : ` and is all in at ${showQuantity(-fullPascal, 'pressure')}`;
  return `It advances ${turned(gain)}, starts at ${showQuantity(-startPascal, 'pressure')}${to}.`;
}
