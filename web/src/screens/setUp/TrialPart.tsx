import { turnedBackTo } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { labelled, showQuantity } from '../../units/quantity.ts';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';

const WAYS = [
  { value: 'gauge', label: 'Vacuum gauge' },
  { value: 'ear', label: 'By ear' },
] as const;
type Way = (typeof WAYS)[number]['value'];

const STEPS: Readonly<Record<Way, readonly string[]>> = {
  gauge: [
    'Warm, idling, hose of the vacuum advance off and plugged, gauge on the manifold.',
    'Clamp loosened: turn the body slowly earlier until the needle rises no more. Set the idle back to its speed each time.',
    'Type what it showed at its best, then turn later until it has come down to what stands below. Clamp it.',
  ],
  ear: [
    'Warm, idling, hose of the vacuum advance off and plugged.',
    'Clamp loosened: turn the body slowly earlier until it runs fastest, then later until the speed just begins to fall. Clamp it.',
    'Stop and start it hot: if it kicks back or the starter labours, a little later.',
  ],
};

/** Timing without a figure to set it to: found by the engine itself, and where that ended written down in degrees. */
export function TrialPart({ stored }: { stored: StoredJob }) {
  const key = `${stored.id}.trial`;
  const { sheet, save } = useSheet(stored, 'found', { kind: 'found', by: 'gauge', shown: NaN });
  const [way, setWay] = useDraft<Way>(`${key}.way`, sheet.by);
  const best = useFigure(`${key}.best`, 'pressure', { below: true });
  const shown = useFigure(`${key}.shown`, 'angle');
  const pull = way === 'gauge' && best.value !== undefined ? Math.abs(best.value) : undefined;
  return (
    <Part
      title="By gauge or by ear"
      about="Where nobody knows the figure, or the mark is lost. It says where this engine runs best as it idles, not what it bears under load."
    >
      <Care>
        Sleeves clear of fan and belt, brake on, the place aired. The body is turned by its shank, not by the cap’s
        leads.
      </Care>
      <Choice label="Found by" value={way} options={WAYS} onChange={setWay} />
      <ol className="grid list-decimal gap-1 pl-5 text-[15px]">
        {STEPS[way].map((step) => (
          <li key={step}>{step}</li>
        ))}
        <li>On the road, pulling uphill in a high gear: if it knocks, two degrees later, and again.</li>
        <li>Read where it ended, by light or with the engine standing, and write that down.</li>
      </ol>
      <div className="grid grid-cols-2 items-start gap-2">
        {way === 'gauge' && (
          <FigureField
            label={labelled('Best on the gauge', 'pressure', { below: true })}
            figure={best}
            within={{ low: -100e3, high: 100e3 }}
          />
        )}
        <FigureField label="It ended at, degrees before top" figure={shown} within={{ low: -20, high: 60 }} />
      </div>
      <Answer>{pull === undefined ? '' : `Turn it back to ${showQuantity(-turnedBackTo(pull), 'pressure')}.`}</Answer>
      <Button
        className="justify-self-start"
        disabled={shown.value === undefined}
        onClick={() =>
          void save({
            kind: 'found',
            by: way,
            shown: shown.value!,
            ...(pull === undefined ? {} : { bestPascal: pull }),
          })
        }
      >
        Write down where it ended
      </Button>
    </Part>
  );
}
