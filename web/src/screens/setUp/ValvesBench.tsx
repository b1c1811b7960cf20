import {
  rockingOf,
  shimFor,
  turnedBetween,
  valvesOf,
  readOrder,
  type MachineBody,
  type SheetOf,
  type ValveFound,
} from '@pondu/core';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { labelled, showQuantity } from '../../units/quantity.ts';
import { Answer, FigureField, Part, useFigure, useFigures } from './figure.tsx';
import { useSheet } from './useSheet.ts';

const WARMTHS = [
  { value: 'cold', label: 'Cold' },
  { value: 'hot', label: 'Hot' },
] as const;
/** A book’s figure leaves so much either way, metres. Trade usage. */
const EITHER_WAY = 0.03e-3;
/** No valve is set wider or closer than this, metres. */
const OPEN = { low: 0.02e-3, high: 1.2e-3 };
const KINDS = [
  { kind: 'inlet', title: 'Inlet valves' },
  { kind: 'exhaust', title: 'Exhaust valves' },
] as const;
type Kind = (typeof KINDS)[number]['kind'];

/** Clearances of both valves of each cylinder, in which order they are set, and which shim goes in. */
export function ValvesBench({ stored, machine }: { stored: StoredJob; machine: MachineBody }) {
  const { cylinders } = machine.fitOut;
  const empty = { found: [] };
  const { sheet, put, save, changed } = useSheet(stored, 'valves', {
    kind: 'valves',
    warmth: 'cold',
    inlet: empty,
    exhaust: empty,
    leftAsWanted: false,
  });
  const rows = {
    inlet: useRow(`${stored.id}.valves.inlet`, sheet.inlet, cylinders),
    exhaust: useRow(`${stored.id}.valves.exhaust`, sheet.exhaust, cylinders),
  };
  const told = { ...sheet, inlet: rows.inlet.row, exhaust: rows.exhaust.row };
  const typed = changed || rows.inlet.typed || rows.exhaust.typed;
  const measured = told.inlet.found.length + told.exhaust.found.length > 0;
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <div className="sm:col-span-2">
        <Choice
          label="The book’s clearances are for an engine that is"
          value={sheet.warmth}
          options={WARMTHS}
          onChange={(warmth) => put({ warmth })}
        />
      </div>
      {KINDS.map(({ kind, title }) => (
        <RowPart key={kind} title={title} cylinders={cylinders} typed={rows[kind]} />
      ))}
      <OrderPart machine={machine} />
      <ShimPart jobId={stored.id} />
      <div className="flex flex-wrap gap-2 sm:col-span-2">
        <Button disabled={!typed || !measured} onClick={() => void save({ ...told, leftAsWanted: false })}>
          Write it down as found
        </Button>
        <Button disabled={!measured} onClick={() => void save({ ...told, leftAsWanted: true })}>
          All set as wanted
        </Button>
      </div>
    </div>
  );
}

type Row = SheetOf<'valves'>[Kind];
/** A row of valves as it is typed over what was written down before. */
function useRow(draft: string, saved: Row, cylinders: number) {
  const wanted = useFigure(`${draft}.wanted`, 'length');
  const found = useFigures(`${draft}.found`, 'length');
  const several = (found.values?.length ?? 0) > cylinders;
  const middle = wanted.value ?? saved.wanted;
  const each = found.values?.length && !several ? found.values : saved.found;
  const row: Row = { found: [...each], ...(middle === undefined ? {} : { wanted: middle }) };
  return { wanted, found, several, row, typed: found.typed !== '' || wanted.typed !== '' };
}

function RowPart({
  title,
  cylinders,
  typed: { wanted, found, several, row },
}: {
  title: string;
  cylinders: number;
  typed: ReturnType<typeof useRow>;
}) {
  const middle = row.wanted;
  const says = middle === undefined ? [] : valvesOf(row.found, { low: middle - EITHER_WAY, high: middle + EITHER_WAY });
  return (
    <Part title={title} about="Cylinder by cylinder, each on the heel of its cam; two to a cylinder: the closer one.">
      <FigureField label={labelled('Wanted', 'length')} figure={wanted} hint="From its book." within={OPEN} />
      <TextField
        label={labelled(cylinders === 1 ? 'Found' : `Found, 1 to ${cylinders}`, 'length')}
        value={found.typed}
        error={several ? `This engine has ${cylinders} cylinders.` : found.error}
        onChange={(e) => found.setTyped(e.target.value)}
      />
      <Answer>{says.length > 0 && !several ? wordsOf(says) : ''}</Answer>
    </Part>
  );
}

function wordsOf(valves: readonly ValveFound[]): string {
  const wrong = valves.filter((v) => v.says !== 'right');
  if (wrong.length === 0) return 'All right.';
  const each = wrong.map(
    (v) =>
      `${valves.length === 1 ? 'It is' : `${v.cylinder} is`} ${v.says === 'tight' ? 'too tight' : 'too wide'}: ${showQuantity(Math.abs(v.by), 'length')} ${v.by > 0 ? 'more' : 'less'}.`,
  );
  const tight = wrong.some((v) => v.says === 'tight');
  return `${each.join(' ')}${tight ? ' Tight valves burn: measure the compression once they are set.' : ''}`;
}

/** Which cylinder’s valves are set while which others rock. */
function OrderPart({ machine }: { machine: MachineBody }) {
  const read = readOrder(machine.firingOrder, machine.fitOut.cylinders);
  const steps = read.ok ? rockingOf(read.order) : [];
  return (
    <Part
      title="In which order"
      about="Turn the engine forward by hand, plugs out. Both valves of a cylinder are shut at its own firing top."
    >
      {steps.length === 0 ? (
        <p className="text-[15px]">
          {machine.fitOut.cylinders < 4 || read.ok
            ? 'One cylinder after the other: both valves shut, piston at the top, the mark in line. If a valve is open there, one more turn.'
            : 'Write the firing order into the machine, and the order of the valves stands here.'}
        </p>
      ) : (
        <ol className="grid gap-1 text-[15px]">
          {steps.map(({ set, rocks }) => (
            <li key={set}>
              Valves of {rocks} rock: set both of {set}. Then {turnedBetween(steps.length)}° on.
            </li>
          ))}
        </ol>
      )}
    </Part>
  );
}

function ShimPart({ jobId }: { jobId: string }) {
  const key = `${jobId}.shim`;
  const [shim, found, wanted] = [
    useFigure(`${key}.shim`, 'length'),
    useFigure(`${key}.found`, 'length'),
    useFigure(`${key}.wanted`, 'length'),
  ];
  const whole = shim.value !== undefined && found.value !== undefined && wanted.value !== undefined;
  return (
    <Part title="Shim" about="Where the clearance is set by shims: which one goes in.">
      <div className="grid grid-cols-3 items-start gap-2">
        <FigureField label={labelled('Shim now', 'length')} figure={shim} within={{ low: 0.5e-3, high: 6e-3 }} />
        <FigureField label={labelled('Found', 'length')} figure={found} within={{ low: 0, high: 1.2e-3 }} />
        <FigureField label={labelled('Wanted', 'length')} figure={wanted} within={OPEN} />
      </div>
      <Answer>
        {whole ? `Fit a shim of ${showQuantity(shimFor(shim.value!, found.value!, wanted.value!), 'length')}.` : ''}
      </Answer>
    </Part>
  );
}
