import { turnedBackTo } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { labelled, showQuantity } from '../../units/quantity.ts';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';

const WAYS = [
  { value: 'gauge', label: 'With a vacuum gauge' },
  { value: 'ear', label: 'By ear' },
] as const;
type Way = (typeof WAYS)[number]['value'];

const STEPS: Readonly<Record<Way, readonly string[]>> = {
  gauge: [
    'Engine warm and idling. Vacuum advance hose off and plugged. Vacuum gauge on the manifold.',
    'Loosen the clamp. Advance the timing slowly until the needle stops rising. Reset the idle speed each time.',
    'Enter the highest vacuum. Retard until the gauge shows the figure below. Tighten the clamp.',
  ],
  ear: [
    'Engine warm and idling. Vacuum advance hose off and plugged.',
    'Loosen the clamp. Advance the timing slowly until it idles fastest, then retard until the speed just begins to drop. Tighten the clamp.',
    'Stop the engine and start it hot: if it kicks back or the starter drags, retard a little.',
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
      title="Timing by vacuum gauge or by ear"
      about="For an engine without a known figure, or with its mark lost. It shows where the engine idles best, not how much advance it can take under load."
    >
      <Care>
        Sleeves clear of fan and belt, brake on, doors open. Turn the distributor by its body, never by the cap or the
        leads.
      </Care>
      <Choice label="How" value={way} options={WAYS} onChange={setWay} />
      <ol className="grid list-decimal gap-1 pl-5 text-[15px]">
        {STEPS[way].map((step) => (
          <li key={step}>{step}</li>
        ))}
        <li>Under load, uphill in a high gear or at full throttle: if it knocks, retard two degrees and try again.</li>
        <li>Read the timing with the light, or with the engine stopped, and write it down.</li>
      </ol>
      <div className="grid grid-cols-2 items-start gap-2">
        {way === 'gauge' && (
          <FigureField
            label={labelled('Highest vacuum', 'pressure', { below: true })}
            figure={best}
            within={{ low: -100e3, high: 100e3 }}
          />
        )}
        <FigureField label="Timing now, degrees before top" figure={shown} within={{ low: -20, high: 60 }} />
      </div>
      <Answer>
        {pull === undefined ? '' : `Retard until the gauge shows ${showQuantity(-turnedBackTo(pull), 'pressure')}.`}
      </Answer>
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
        Write it down
      </Button>
    </Part>
  );
}
