import {
  readCap,
  readOrder,
  swapBehind,
  towersOf,
  type CapRead,
  type MachineBody,
  type OrderRead,
  type SheetOf,
} from '@pondu/core';
import { useState } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { CapDrawing } from './CapDrawing.tsx';
import { Answer, Care, Part } from './figure.tsx';
import { useSheet } from './useSheet.ts';

const TURNS = [
  { value: 'clockwise', label: 'Clockwise' },
  { value: 'anticlockwise', label: 'Anticlockwise' },
] as const;

const orderWords = (read: Exclude<OrderRead, { ok: true }>, cylinders: number): string =>
  ({
    empty: 'Type the firing order, such as 1-3-4-2.',
    'not numbers': `“${read.what}” is no cylinder of this engine: use 1 to ${cylinders}.`,
    'wrong count': `That is ${read.what} cylinders; this engine has ${cylinders}.`,
    twice: `Cylinder ${read.what} stands there twice.`,
  })[read.code];

const capWords = ({ says, by, pair, wrong }: CapRead): string =>
  ({
    right: 'Every lead is where it belongs.',
    'half a turn out':
      'All leads stand half a turn out: so they are, or the distributor is. Number one must blow a finger at the top that counts.',
    'all moved on': `All leads stand ${by} ${by === 1 ? 'tower' : 'towers'} on: the body was refitted a tooth round, or the leads by its old place.`,
    'two swapped': pair ? `Leads ${pair[0]} and ${pair[1]} are swapped.` : '',
    mixed: `${wrong.length} leads are in the wrong towers: stab them anew, one by one, from number one.`,
  })[says];

/** Cap, firing order, and which lead stands in the wrong tower. */
export function LeadsBench({ stored, machine }: { stored: StoredJob; machine: MachineBody }) {
  const { cylinders } = machine.fitOut;
  const given = readOrder(machine.firingOrder, cylinders);
  const { sheet, put, save, changed } = useSheet(stored, 'leads', {
    kind: 'leads',
    order: given.ok ? [...given.order] : Array.from({ length: cylinders }, (_v, k) => k + 1),
    turns: 'clockwise',
    first: 0,
    found: [],
  });
  const [typed, setTyped] = useDraft(`${stored.id}.leads.order`, sheet.order.join('-'));
  const [dead, setDead] = useDraft<number[]>(`${stored.id}.leads.dead`, []);
  const read = readOrder(typed, cylinders);
  const wanted = towersOf(sheet);
  const looked = sheet.found.length === cylinders;
  // Tower by tower as it is looked at: what nobody has looked at yet is not taken for right.
  const [seen, setSeen] = useDraft<(number | null)[]>(
    `${stored.id}.leads.seen`,
    looked ? [...sheet.found] : Array.from({ length: cylinders }, () => null),
  );
  const twice = seen.find((c, k) => c !== null && seen.indexOf(c) !== k);
  const found = looked ? sheet.found : wanted;
  const cap = readCap(found, wanted);
  function see(next: (number | null)[]) {
    setSeen(next);
    const whole = next.flatMap((c) => c ?? []);
    put({ found: new Set(whole).size === cylinders ? whole : [] });
  }
  const behind = swapBehind(dead, sheet.order);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <h2 className="hidden text-xl lg:col-span-2 print:block">{machine.name}: leads and firing order</h2>
      <div className="grid content-start gap-3">
        <Care>Key off. Leads off one at a time, pulled at the boot, never at the wire.</Care>
        <TextField
          label="Firing order"
          value={typed}
          error={read.ok ? undefined : orderWords(read, cylinders)}
          onChange={(e) => {
            setTyped(e.target.value);
            const now = readOrder(e.target.value, cylinders);
            if (now.ok) put({ order: [...now.order] });
          }}
        />
        {given.ok && read.ok && given.order.join() !== read.order.join() && (
          <p role="status" className="font-medium text-warn">
            The machine’s own page says {given.order.join('-')}: one of the two is wrong.
          </p>
        )}
        <Choice
          label="Rotor turns, seen from above"
          value={sheet.turns}
          options={TURNS}
          onChange={(turns) => put({ turns })}
        />
        <SelectField
          label="Number one’s tower, clockwise from the clip you call first"
          value={String(sheet.first)}
          options={wanted.map((_c, k) => ({ value: String(k), label: `Tower ${k + 1}` }))}
          onChange={(first) => put({ first: Number(first) })}
        />
        <p className="text-[14px] text-soft">
          Number one: finger over its plug hole, turn by hand until it blows and the mark stands at the top. The rotor
          then points at its tower.
        </p>
      </div>
      <CapDrawing sheet={sheet} found={found} wanted={wanted} looked={looked} />
      <Part title="As found" about="Which cylinder’s lead stands in each tower, clockwise.">
        <Towers sheet={sheet} seen={seen} onSeen={see} />
        {twice !== undefined && (
          <p role="alert" className="font-medium text-danger">
            Lead {twice} stands in two towers: it can be in one only. Look again.
          </p>
        )}
        <Answer>{looked ? capWords(cap) : 'Set each tower to the lead that stands in it.'}</Answer>
      </Part>
      <Part
        title="By what is dead"
        about="Two cylinders that never fire while both have a spark: their leads may be swapped."
      >
        <div className="flex flex-wrap gap-2">
          {sheet.order
            .slice()
            .sort((a, b) => a - b)
            .map((c) => (
              <Button
                key={c}
                aria-pressed={dead.includes(c)}
                className={dead.includes(c) ? '!bg-ink !text-panel' : ''}
                onClick={() => setDead(dead.includes(c) ? dead.filter((d) => d !== c) : [...dead, c])}
              >
                {c}
              </Button>
            ))}
        </div>
        <Answer>
          {dead.length === 0
            ? ''
            : behind
              ? `Leads ${behind.pair[0]} and ${behind.pair[1]} swapped would do that: each sparks ${behind.degreesOff.toFixed(0)}° from its moment${behind.apart === 1 ? ', and they are neighbours in the cap' : ''}.`
              : 'No single swap leaves just these dead.'}
        </Answer>
      </Part>
      <div className="no-print flex flex-wrap gap-3 lg:col-span-2">
        <Button disabled={!changed} onClick={() => void save()}>
          Write it down
        </Button>
        <Button onClick={() => print()}>Print the map</Button>
      </div>
      <Stab sheet={sheet} />
    </div>
  );
}

function Towers({
  sheet,
  seen,
  onSeen,
}: {
  sheet: SheetOf<'leads'>;
  seen: readonly (number | null)[];
  onSeen: (seen: (number | null)[]) => void;
}) {
  const options = [
    { value: '', label: 'not looked' },
    ...sheet.order
      .slice()
      .sort((a, b) => a - b)
      .map((c) => ({ value: String(c), label: String(c) })),
  ];
  return (
    <div className="grid grid-cols-4 gap-2">
      {seen.map((c, k) => (
        <SelectField
          key={k}
          label={`Tower ${k + 1}`}
          value={c === null ? '' : String(c)}
          options={options}
          onChange={(v) => onSeen(seen.map((s, i) => (i === k ? (v === '' ? null : Number(v)) : s)))}
        />
      ))}
    </div>
  );
}

/** One lead after the other, from number one. */
function Stab({ sheet }: { sheet: SheetOf<'leads'> }) {
  const [step, setStep] = useState(0);
  const towers = towersOf(sheet);
  const cylinder = sheet.order[step];
  return (
    <section aria-label="Stab the leads anew" className="no-print grid gap-2 lg:col-span-2">
      <h3 className="text-[17px]">Stab the leads anew</h3>
      {cylinder === undefined ? (
        <p>All in. Hand over the cap, tug each once, then start it.</p>
      ) : (
        <p>
          {step + 1} of {sheet.order.length}: lead of cylinder <b>{cylinder}</b> into tower{' '}
          <b>{towers.indexOf(cylinder) + 1}</b>
          {step > 0 && `, the next one ${sheet.turns} from the last`}.
        </p>
      )}
      <div className="flex gap-3">
        <Button disabled={step === 0} onClick={() => setStep(step - 1)}>
          Back
        </Button>
        <Button disabled={cylinder === undefined} onClick={() => setStep(step + 1)}>
          It is in
        </Button>
      </div>
    </section>
  );
}
