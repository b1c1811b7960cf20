import {
  BELT_METRES,
  chargeSays,
  CUTS_OUT_AMPS,
  cutIn,
  setPoint,
  type ChargeSays,
  type MachineBody,
} from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Answer, Care, FigureField, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';
import { labelled, showBand, showQuantity } from '../../units/quantity.ts';

const SAYS: Readonly<Record<ChargeSays, string>> = {
  'holds low': 'It holds low: the battery never fills. Connections and belt first, then the regulator.',
  'holds high':
    'It holds high: it boils the battery and blows lamps. Its earth and sense wire first, then the regulator.',
  'holds right': 'It holds where it should at this temperature.',
  'cuts in early': 'The cut-out closes early: the battery feeds the generator at idle.',
  'cuts in late': 'The cut-out closes late: nothing is charged at low speed.',
  'cuts in above set point':
    'The cut-out closes above where the regulator holds: it never charges at all. Set the cut-out first.',
  'belt slack': 'The belt is slack: it slips under load.',
  'belt tight': 'The belt is tight: it eats the bearings.',
};

/** What of its plates the machine may have told of its regulator; and what turns its charger by a belt. */
const SET_VOLTS = 'charge-regulator.setVolts';
const BELTED: ReadonlySet<string> = new Set(['generator', 'alternator', 'alternator-apart']);

/** Set points at the regulator's own temperature, the cut-out, the belt, and a generator's polarity. */
export function ChargingBench({ stored, machine }: { stored: StoredJob; machine: MachineBody }) {
  const { volts, trails } = machine.fitOut;
  const charge = trails.find((t) => t.trail === 'charge');
  const generator = charge?.kind === 'generator';
  const { sheet, save } = useSheet(stored, 'charging', { kind: 'charging', celsius: 25 });
  const key = `${stored.id}.charging`;
  const [celsius, holds, cuts, pressed] = [
    useFigure(`${key}.celsius`, 'temperature'),
    useFigure(`${key}.holds`, 'voltage'),
    useFigure(`${key}.cuts`, 'voltage'),
    useFigure(`${key}.belt`, 'length'),
  ];
  const found = {
    celsius: celsius.value ?? sheet.celsius,
    holds: holds.value ?? sheet.holds,
    cutsIn: generator ? (cuts.value ?? sheet.cutsIn) : undefined,
    beltMetres: pressed.value ?? sheet.beltMetres,
  };
  const own = machine.plates[SET_VOLTS];
  const belt = BELTED.has(charge?.kind ?? '');
  const band = setPoint(volts, found.celsius, own);
  const given = Object.fromEntries(Object.entries(found).filter(([, v]) => v !== undefined));
  return (
    <div className="grid gap-4">
      <Care>
        Charging batteries give off gas: no flame, aired. Rings and watch off; the battery’s earth off before a box is
        opened.
      </Care>
      <p>
        At {showQuantity(Math.round(found.celsius), 'temperature')} it should hold{' '}
        <b>{showBand(band.low, band.high, 'voltage')}</b>, battery charged, fast idle, loads off.
        {own && <> That is its own plate, brought to this temperature.</>}
        {generator && (
          <>
            {' '}
            The cut-out closes at {showBand(cutIn(volts).low, cutIn(volts).high, 'voltage')} and opens again at{' '}
            {CUTS_OUT_AMPS.low} to {CUTS_OUT_AMPS.high} A the other way.
          </>
        )}{' '}
        {belt && <>The belt gives {showBand(BELT_METRES.low, BELT_METRES.high, 'length')} at the middle of its span.</>}
      </p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        <FigureField
          label={labelled('Regulator’s temperature', 'temperature')}
          figure={celsius}
          within={{ low: -40, high: 130 }}
        />
        <FigureField label="It holds, volts" figure={holds} within={{ low: volts / 2, high: 2 * volts }} />
        {generator && (
          <FigureField label="Cut-out closes at, volts" figure={cuts} within={{ low: volts / 2, high: 2 * volts }} />
        )}
        {belt && <FigureField label={labelled('Belt pressed', 'length')} figure={pressed} />}
      </div>
      <Answer>
        {chargeSays({ volts, own, ...found })
          .map((s) => SAYS[s])
          .join(' ')}
      </Answer>
      {generator && (
        <p className="text-[15px]">
          After any work on generator or battery it is polarised anew before it runs:{' '}
          {charge?.options.field === 'B'
            ? 'field wire off the box, touched for a moment on the battery’s live terminal (the field is fed from the armature).'
            : 'a wire for a moment from the battery’s live terminal to the generator’s main terminal (its field goes to earth).'}{' '}
          Follow the maker’s book where there is one.
        </p>
      )}
      <Button
        className="justify-self-start"
        disabled={[celsius, holds, cuts, pressed].every((f) => f.value === undefined)}
        onClick={() => void save({ kind: 'charging', ...given, celsius: found.celsius })}
      >
        Write it down
      </Button>
    </div>
  );
}
