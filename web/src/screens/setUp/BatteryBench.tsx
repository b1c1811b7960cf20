import { hoursToFlat, judgeCells, leftByVolts, mm2OfGauge, wireDrop, type MachineBody } from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { habits } from '../../units/habits.ts';
import { labelled, showQuantity, showWire } from '../../units/quantity.ts';
import { percent } from '../../words/belief.ts';
import { Answer, Care, FigureField, Part, useFigure, useHeight } from './figure.tsx';
import { useSheet } from './useSheet.ts';

/** Volts of one cell of a lead battery, by name. */
const CELL_VOLTS = 2;
const [LEAST_DENSITY, MOST_DENSITY] = [1, 1.4];
const USUAL_CELSIUS = 20;
/** Hours of some days are said in days. */
const DAYS_FROM = 72;
const hoursWords = (hours: number): string =>
  hours < DAYS_FROM ? `${hours.toFixed(hours < 10 ? 1 : 0)} hours` : `${(hours / 24).toFixed(0)} days`;

/** What is in the battery by its acid and its volts, how long that lasts, and what a wire loses. */
export function BatteryBench({
  stored,
  machine,
  ampHours,
}: {
  stored: StoredJob;
  machine: MachineBody;
  ampHours: number | undefined;
}) {
  const { volts } = machine.fitOut;
  const key = `${stored.id}.battery`;
  const { sheet, save } = useSheet(stored, 'battery', { kind: 'battery', celsius: USUAL_CELSIUS, cells: [] });
  const many = volts / CELL_VOLTS;
  const [typed, setTyped] = useDraft<readonly string[]>(`${key}.cells`, []);
  const celsius = useFigure(`${key}.celsius`, 'temperature');
  const rest = useFigure(`${key}.rest`, 'voltage');
  const [hours, draws] = [useFigure(`${key}.ah`, 'ratio'), useFigure(`${key}.draws`, 'current')];
  const read = Array.from({ length: many }, (_, k) => densityOf(typed[k] ?? ''));
  const cells = read.every((c): c is number => c !== undefined) ? read : undefined;
  const warm = celsius.value ?? sheet.celsius;
  const acid = cells && judgeCells(cells, warm);
  const stands = rest.value === undefined ? undefined : leftByVolts(rest.value, volts);
  const left = acid?.left ?? stands?.left;
  const capacity = hours.value ?? ampHours;
  const lasts =
    left !== undefined && capacity !== undefined && draws.value !== undefined && draws.value > 0
      ? hoursToFlat(left, capacity, draws.value)
      : undefined;
  const acidWords = acid
    ? acid.dead
      ? `Cell ${acid.dead} is ${acid.spread.toFixed(3)} under the best: charge it whole and read again; still so, that cell is dead.`
      : `${percent(acid.left)} left, its cells alike within ${acid.spread.toFixed(3)}.`
    : '';
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <Part title="Acid, cell by cell" about="Caps off, an hour after charging or driving. Not on a sealed battery.">
        <Care>Acid burns: goggles, gloves, water at hand. It gives off hydrogen: no flame, no spark.</Care>
        <div className="grid grid-cols-3 gap-2">
          {read.map((_, k) => (
            <TextField
              key={k}
              label={`Cell ${k + 1}`}
              inputMode="decimal"
              placeholder="1.265"
              value={typed[k] ?? ''}
              error={(typed[k] ?? '').trim() !== '' && read[k] === undefined ? 'Such as 1.265 or 1265.' : undefined}
              onChange={(e) => setTyped(read.map((_r, j) => (j === k ? e.target.value : (typed[j] ?? ''))))}
            />
          ))}
        </div>
        <FigureField
          label={labelled('Its acid is at', 'temperature')}
          figure={celsius}
          within={{ low: -30, high: 60 }}
        />
        <Answer>{acidWords}</Answer>
      </Part>
      <Part title="Volts at rest" about="Some hours after charging or driving, everything off.">
        <FigureField label="At its posts, volts" figure={rest} within={{ low: 0.6 * volts, high: 1.3 * volts }} />
        <div className="grid grid-cols-2 gap-2">
          <FigureField
            label="Amp-hours"
            figure={hours}
            hint={ampHours === undefined ? 'From its label.' : `Usual here: ${ampHours.toFixed(0)}.`}
          />
          <FigureField label="It is drawn on by, amperes" figure={draws} />
        </div>
        <Answer>
          {[
            stands ? `${percent(stands.left)} left by its volts.` : '',
            stands?.surface
              ? 'It was charged just before: lamps on for a minute, then let it stand and read again.'
              : '',
            lasts === undefined ? '' : `Flat in ${hoursWords(lasts)}.`,
          ]
            .join(' ')
            .trim()}
        </Answer>
        <Button
          className="justify-self-start"
          disabled={!cells && rest.value === undefined}
          onClick={() =>
            void save({
              kind: 'battery',
              celsius: warm,
              cells: cells ?? [],
              ...(rest.value === undefined ? {} : { restVolts: rest.value }),
            })
          }
        >
          Write it down
        </Button>
      </Part>
      <WirePart stored={stored} volts={volts} />
    </div>
  );
}

/** 1.265, 1,265 or 1265, as floats are marked. */
function densityOf(text: string): number | undefined {
  const value = Number(text.trim().replace(',', '.'));
  const density = value >= 1000 ? value / 1000 : value;
  return text.trim() !== '' && density >= LEAST_DENSITY && density <= MOST_DENSITY ? density : undefined;
}

/** Of the nominal volts that a wire may lose: what matters most, and the rest. */
const [BEST, MOST] = [0.03, 0.1];

function WirePart({ stored, volts }: { stored: StoredJob; volts: number }) {
  const key = `${stored.id}.wire`;
  const [amps, long] = [useFigure(`${key}.amps`, 'current'), useHeight(`${key}.metres`)];
  const size = useFigure(`${key}.size`, 'ratio');
  const gauge = habits.inUse.wire === 'AWG';
  const mm2 = size.value === undefined ? undefined : gauge ? mm2OfGauge(size.value) : size.value;
  const feet = habits.inUse.height === 'ft';
  const drop =
    amps.value !== undefined && long.value !== undefined && mm2 !== undefined && mm2 > 0
      ? wireDrop(amps.value, long.value, mm2, volts)
      : undefined;
  const verdict = (share: number) =>
    share <= BEST
      ? 'Enough for anything.'
      : share <= MOST
        ? 'Enough for lamps, not for ignition, pumps or charge.'
        : 'Too thin.';
  return (
    <Part title="What a wire loses" about="There and back, cold. Joints come on top: measure them under load.">
      <div className="grid grid-cols-3 items-start gap-2">
        <FigureField label="Amperes" figure={amps} />
        <FigureField label={feet ? 'Feet, one way' : 'Metres, one way'} figure={long} />
        <FigureField label={gauge ? 'Gauge number' : 'Wire, mm²'} figure={size} />
      </div>
      <Answer>
        {drop
          ? `${showQuantity(drop.volts, 'voltage')}, ${percent(drop.share)} of ${volts} V. ${verdict(drop.share)}${
              drop.share > BEST && drop.better
                ? ` With ${showWire(drop.better.mm2)}: 3 % at most, fused at ${drop.better.fuseAmps} A.`
                : ''
            }`
          : ''}
      </Answer>
    </Part>
  );
}
