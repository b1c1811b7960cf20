import { STATIC_WAYS, staticTiming, type SetUpView, type StaticWay } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { labelled } from '../../units/quantity.ts';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { turned } from './turned.ts';
import { useSheet } from './useSheet.ts';

const WAYS = STATIC_WAYS.map((value) => ({
  value,
  label: { lamp: 'Test lamp', ohmmeter: 'Ohmmeter', paper: 'Strip of paper' }[value],
}));
const HOW: Readonly<Record<StaticWay, string>> = {
  lamp: 'Key on, lamp from the points’ wire to earth. Turn the engine forward by hand: the points open as the lamp comes on.',
  ohmmeter: 'Key off, the points’ wire off its coil. Turn forward by hand: the points open as the needle moves.',
  paper:
    'Key off, a strip of the thinnest paper between the points. Turn forward by hand, pulling gently: the points open as the strip comes free.',
};

/** The moment with the engine standing: where the mark is as the points part, and how far that is from what is wanted. */
export function StaticPart({
  stored,
  parts,
  markOff,
}: {
  stored: StoredJob;
  parts: NonNullable<SetUpView['parts']>;
  markOff: number;
}) {
  const key = `${stored.id}.static`;
  const { sheet, save } = useSheet(stored, 'static', { kind: 'static', way: 'lamp', shown: NaN });
  const [way, setWay] = useDraft<StaticWay>(`${key}.way`, sheet.way);
  const [degrees, wanted] = [useFigure(`${key}.degrees`, 'angle'), useFigure(`${key}.wanted`, 'angle')];
  const [rim, across] = [useFigure(`${key}.rim`, 'length'), useFigure(`${key}.across`, 'length', { long: true })];
  const before =
    degrees.value !== undefined
      ? { degrees: degrees.value }
      : rim.value !== undefined && across.value !== undefined && across.value > 0
        ? { rimMetres: rim.value, rimAcross: across.value }
        : undefined;
  const found = before && staticTiming(before, markOff, wanted.value);
  const words = found
    ? `The points open ${turned(found.degrees)} ${found.degrees < 0 ? 'after' : 'before'} top.${moveWords(found.earlier, parts)}`
    : '';
  return (
    <Part
      title="Static timing"
      about="Where the points open, with the engine stopped: for one that does not run yet, or where there is no timing light."
    >
      <Care>Out of gear, plugs out: it turns easily and cannot fire. Always forward, so that slack is taken up.</Care>
      <Choice label="Found by" value={way} options={WAYS} onChange={setWay} />
      <p className="text-[15px]">{HOW[way]}</p>
      <div className="grid grid-cols-2 items-start gap-2">
        <FigureField label="Mark before the pointer, degrees" figure={degrees} within={{ low: -60, high: 90 }} />
        <FigureField label="Wanted before top, degrees" figure={wanted} within={{ low: -20, high: 60 }} />
        <FigureField label={labelled('Or along the rim', 'length')} figure={rim} />
        <FigureField label={labelled('Rim across', 'length', { long: true })} figure={across} />
      </div>
      <Answer>{words}</Answer>
      <Button
        className="justify-self-start"
        disabled={!found}
        onClick={() =>
          found &&
          void save({
            kind: 'static',
            way,
            shown: found.degrees + markOff,
            ...(wanted.value === undefined ? {} : { wanted: wanted.value }),
          })
        }
      >
        Write it down
      </Button>
    </Part>
  );
}

/** Under this a body is not turned. */
const LEFT_ALONE = 0.5;
/** A distributor turns half as fast as the crank: its body moves half as far. */
function moveWords(earlier: number | undefined, parts: NonNullable<SetUpView['parts']>): string {
  if (earlier === undefined) return '';
  if (Math.abs(earlier) < LEFT_ALONE) return ' Leave it.';
  return parts === 'distributor'
    ? ` Turn the body by ${turned(earlier / 2)}, ${earlier > 0 ? 'against' : 'with'} the rotor, and try again.`
    : ` Move the points’ plate so that they open ${turned(earlier)} of the crank ${earlier > 0 ? 'earlier' : 'later'}, and try again.`;
}
