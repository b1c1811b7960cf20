import { floatSays, mainJetAt, THROATS, USUAL_LEVERAGE, type FloatSays, type SheetOf } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { labelled, showQuantity } from '../../units/quantity.ts';
import { Answer, FigureField, Part, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';

type By = SheetOf<'float'>['by'];
const WAYS: readonly { value: By; label: string }[] = [
  { value: 'height', label: 'Height of the float' },
  { value: 'tube', label: 'Level tube' },
];
const HOW: Readonly<Record<By, string>> = {
  height:
    'Cover upside down, gasket off, the tongue just resting on its needle without pressing its spring: from the joint face to the float.',
  tube: 'Clear hose on the drain of the bowl, held up beside it, engine idling on level ground: from the joint down to the fuel.',
};
/** No float is set beyond these, metres. */
const NEAR = { low: -0.01, high: 0.06 };

/** Where the fuel stands in the bowl, which way the tongue is bent, and what it does to the mixture. */
export function FloatPart({ stored }: { stored: StoredJob }) {
  const key = `${stored.id}.float`;
  const { sheet, save } = useSheet(stored, 'float', { kind: 'float', by: 'height', found: NaN, wanted: NaN });
  const [by, setBy] = useDraft<By>(`${key}.by`, sheet.by);
  const [found, wanted] = [useFigure(`${key}.found`, 'length'), useFigure(`${key}.wanted`, 'length')];
  const leverage = useFigure(`${key}.leverage`, 'ratio');
  const read =
    found.value === undefined || wanted.value === undefined ? undefined : { found: found.value, wanted: wanted.value };
  const arm = leverage.value !== undefined && leverage.value > 0 ? leverage.value : USUAL_LEVERAGE;
  return (
    <Part title="Float level" about={HOW[by]}>
      <Choice label="Measured by" value={by} options={WAYS} onChange={setBy} />
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField label={labelled('Found', 'length')} figure={found} within={NEAR} />
        <FigureField label={labelled('Wanted', 'length')} figure={wanted} hint="From its book." within={NEAR} />
        <FigureField
          label="Float arm over tongue arm"
          figure={leverage}
          hint={`Pin to float over pin to needle; ${USUAL_LEVERAGE} if not measured.`}
          within={{ low: 1, high: 12 }}
        />
      </div>
      <Answer>{read ? wordsOf(floatSays(read, arm)) : ''}</Answer>
      <Button
        className="justify-self-start"
        disabled={!read}
        onClick={() => read && void save({ kind: 'float', by, ...read })}
      >
        Write it down
      </Button>
    </Part>
  );
}

/** A change of the mixture under this is not worth a word. */
const SHOWS_FROM = 0.005;
function wordsOf({ lowBy, bend, way }: FloatSays): string {
  if (way === 'leave it') return 'Near enough: leave it.';
  const lower = lowBy > 0;
  const change = Object.entries(THROATS).flatMap(([when, pascal]) => {
    const by = mainJetAt(lowBy, pascal) - 1;
    return Math.abs(by) < SHOWS_FROM
      ? []
      : [`${Math.abs(by * 100).toFixed(0)} % ${WHEN[when as keyof typeof THROATS]}`];
  });
  const mixture = change.length > 0 ? ` ${lower ? 'Leaner' : 'Richer'} by about ${change.join(', ')}.` : '';
  return `The fuel stands ${showQuantity(Math.abs(lowBy), 'length')} too ${lower ? 'low' : 'high'}: bend the tongue ${way} by about ${showQuantity(bend, 'length')} and measure again.${mixture}`;
}
const WHEN: Readonly<Record<keyof typeof THROATS, string>> = {
  'just coming in': 'as the main jet comes in',
  cruising: 'cruising',
  'wide open': 'wide open',
};
