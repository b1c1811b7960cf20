import { drainHunt, hoursToAQuarter, REST_ALLOWED, type DrainHunt, type MachineBody } from '@pondu/core';
import { Trash2 } from 'lucide-react';
import { useId } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { Answer, Care, FigureField, useFigure } from './figure.tsx';
import { useSheet } from './useSheet.ts';
import { showQuantity } from '../../units/quantity.ts';

/** What mostly stays on unseen, the likeliest first. */
const USUAL: Readonly<Partial<Record<MachineBody['kind'], readonly string[]>>> = {
  boat: ['Bilge pump and its float', 'Cabin lamps', 'Radio', 'Navigation lamps', 'Charge wire'],
  car: ['Boot or glove box lamp', 'Radio and aerial', 'Inside lamps', 'Clock', 'Horn', 'Lighter', 'Charge wire'],
};
const ELSE = ['Lamps', 'Horn', 'Socket for the trailer', 'Charge wire'];

const SAYS: Readonly<Record<DrainHunt['says'], string>> = {
  'nothing to find': 'What flows at rest may flow: nothing to find here.',
  'go on': 'Too much flows still: pull the next.',
  found: 'What is left may flow.',
  'woke up': 'More flows than before: a door or a lid was opened, or something woke up. Wait, and read again.',
  'behind the fuses':
    'No fuse stands before it: the charge wire at its machine, the cut-out, the starter’s cable, what somebody added at the battery.',
};
const amps = (value: number) => showQuantity(value, 'current');

/** Circuit by circuit: which of them takes what flows with everything off. */
export function DrainBench({
  stored,
  machine,
  ampHours,
}: {
  stored: StoredJob;
  machine: MachineBody;
  ampHours: number | undefined;
}) {
  const key = `${stored.id}.drain`;
  const { sheet, put, save, changed } = useSheet(stored, 'drain', {
    kind: 'drain',
    restAmps: 0,
    pulled: [],
    all: false,
  });
  const rest = useFigure(`${key}.rest`, 'current');
  const still = useFigure(`${key}.still`, 'current');
  const [circuit, setCircuit] = useDraft(`${key}.circuit`, '');
  const listed = useId();
  const restAmps = rest.value ?? sheet.restAmps;
  const hunt = drainHunt(restAmps, sheet.pulled, sheet.all);
  const guilty = hunt.taken.filter((t) => t.stays).map((t) => `${t.circuit} (${amps(t.amps)})`);
  const left = (USUAL[machine.kind] ?? ELSE).filter((c) => !sheet.pulled.some((p) => p.circuit === c));
  const days = ampHours !== undefined && hunt.left > 0 ? hoursToAQuarter(hunt.left, ampHours) / 24 : undefined;
  const most = Math.max(REST_ALLOWED, ...hunt.taken.map((t) => t.amps));

  function pull() {
    if (circuit.trim() === '' || still.value === undefined) return;
    put({ restAmps, pulled: [...sheet.pulled, { circuit: circuit.trim(), amps: still.value }] });
    setCircuit('');
    still.clear();
  }
  return (
    <div className="grid gap-4">
      <Care>
        Ammeter between the battery’s earth post and its lead, fused; nothing is switched on through it and nobody
        starts the engine. A gassing battery gives off hydrogen: no flame.
      </Care>
      <p className="text-soft">
        Key out, doors and lids shut, ten minutes to fall asleep. Pull a fuse or take a lead off, read, leave it out,
        and pull the next.
      </p>
      <div className="grid gap-2 sm:grid-cols-2">
        <FigureField label="At rest, all in, amperes" figure={rest} hint={`Up to ${amps(REST_ALLOWED)} may flow.`} />
      </div>
      <form
        className="grid items-start gap-2 sm:grid-cols-[2fr_1fr_auto]"
        onSubmit={(e) => {
          e.preventDefault();
          pull();
        }}
      >
        <TextField
          label="Circuit pulled"
          list={listed}
          value={circuit}
          maxLength={40}
          onChange={(e) => setCircuit(e.target.value)}
          {...(left[0] ? { placeholder: left[0] } : {})}
        />
        <datalist id={listed}>
          {left.map((c) => (
            <option key={c} value={c} />
          ))}
        </datalist>
        <FigureField label="Still flows, amperes" figure={still} />
        <Button type="submit" className="sm:mt-[22px]" disabled={circuit.trim() === '' || still.value === undefined}>
          Pulled
        </Button>
      </form>
      {hunt.taken.length > 0 && (
        <table className="w-full text-left">
          <caption className="sr-only">What each circuit took</caption>
          <thead>
            <tr className="tag">
              <th scope="col">Circuit</th>
              <th scope="col">Took</th>
              <th scope="col" className="w-2/5">
                <span className="sr-only">Share</span>
              </th>
              <th scope="col">
                <span className="sr-only">Take it back</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {hunt.taken.map((t, k) => (
              <tr key={k} className="border-t border-rule">
                <th scope="row" className={t.stays ? 'font-semibold text-lost' : 'font-normal'}>
                  {t.circuit}
                </th>
                <td className="whitespace-nowrap pr-2">{amps(t.amps)}</td>
                <td>
                  <ShareBar share={Math.max(0, t.amps) / most} tone={t.stays ? 'lost' : 'ink'} />
                </td>
                <td>
                  <Button
                    look="quiet"
                    aria-label={`Take back: ${t.circuit}`}
                    onClick={() => put({ pulled: sheet.pulled.filter((_, i) => i !== k) })}
                  >
                    <Trash2 aria-hidden className="size-5" />
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {hunt.says === 'go on' && sheet.pulled.length > 0 && (
        <Button className="justify-self-start" onClick={() => put({ all: true })}>
          There is nothing left to pull
        </Button>
      )}
      {restAmps > 0 && (
        <Answer>
          {[
            guilty.length ? `Stays on: ${guilty.join(', ')}.` : '',
            SAYS[hunt.says],
            days !== undefined
              ? `As it is now a full battery of ${ampHours!.toFixed(0)} Ah lasts ${daysWords(days)}.`
              : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </Answer>
      )}
      <Button
        className="justify-self-start"
        disabled={!changed && rest.value === undefined}
        onClick={() => void save({ ...sheet, restAmps })}
      >
        Write it down
      </Button>
    </div>
  );
}

const LONG_DAYS = 60;
const daysWords = (days: number): string =>
  days > LONG_DAYS ? 'for months' : days >= 2 ? `${days.toFixed(0)} days` : `${(days * 24).toFixed(0)} hours`;
