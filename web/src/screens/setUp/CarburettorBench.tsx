import { balanceOfCarburettors, before, type Step, type StepId } from '@pondu/core';
import { useState, type ReactNode } from 'react';
import type { StoredJob } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Answer, Care, FigureField, Part, useFigure } from './figure.tsx';
import { FloatPart } from './FloatPart.tsx';
import { GasPart } from './GasPart.tsx';
import { JetsPart } from './JetsPart.tsx';
import { MixturePart } from './MixturePart.tsx';
import { useSheet } from './useSheet.ts';

const SHOWS = [
  { value: 'vacuum', label: 'Vacuum behind each' },
  { value: 'flow', label: 'Air into each' },
] as const;
const TURN = { open: 'holds back: open it', close: 'runs ahead: close it', leave: 'leave it' } as const;

interface Props {
  stored: StoredJob;
  steps: readonly Step[];
  carburettors: number;
  /** What its vacuum gauge says, where the machine has one. */
  gauge: ReactNode;
  /** Metres above the sea, where the machine says. */
  altitude?: number | undefined;
}

/** The order of work with its reasons, and the balance of several. */
export function CarburettorBench({ stored, steps, carburettors, gauge, altitude }: Props) {
  const { sheet, save } = useSheet(stored, 'carburettor', {
    kind: 'carburettor',
    done: [],
    overruled: [],
    read: [],
    shows: 'vacuum',
  });
  const settled = new Set([...sheet.done, ...sheet.overruled.map((o) => o.step)] as StepId[]);
  // The one obvious next thing: the first that nothing stands in the way of.
  const next = steps.find((s) => !settled.has(s.id) && before(steps, s.id, settled).length === 0)?.id;
  return (
    <div className="grid gap-5">
      <Care>
        Warm engine, aired place, hair and sleeves clear of the fan; a cap or plate for the fuel that drips, no flame.
      </Care>
      <ol className="grid gap-1">
        {steps.map((step) => (
          <StepRow
            key={step.id}
            step={step}
            next={step.id === next}
            missing={before(steps, step.id, settled)}
            state={sheet.done.includes(step.id) ? 'done' : sheet.overruled.find((o) => o.step === step.id)?.why}
            onDone={() => void save({ ...sheet, done: [...sheet.done, step.id] })}
            onUndo={() =>
              void save({
                ...sheet,
                done: sheet.done.filter((d) => d !== step.id),
                overruled: sheet.overruled.filter((o) => o.step !== step.id),
              })
            }
            onOverrule={(why) => void save({ ...sheet, overruled: [...sheet.overruled, { step: step.id, why }] })}
          />
        ))}
      </ol>
      {carburettors > 1 && (
        <BalanceOf
          count={carburettors}
          stored={stored}
          read={sheet.read}
          shows={sheet.shows}
          onSave={(read, shows) => void save({ ...sheet, read, shows })}
        />
      )}
      <div className="grid gap-5 xl:grid-cols-2">
        <FloatPart stored={stored} />
        <MixturePart stored={stored} />
        <GasPart stored={stored} />
        <JetsPart jobId={stored.id} altitude={altitude} />
      </div>
      {gauge}
    </div>
  );
}

function StepRow({
  step,
  next,
  missing,
  state,
  onDone,
  onUndo,
  onOverrule,
}: {
  step: Step;
  next: boolean;
  missing: readonly Step[];
  state: string | undefined;
  onDone: () => void;
  onUndo: () => void;
  onOverrule: (why: string) => void;
}) {
  const [why, setWhy] = useState('');
  const [asking, setAsking] = useState(false);
  const waits = missing.length > 0 && state === undefined;
  return (
    <li className="grid gap-1 border-t border-rule py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <div className="grow basis-64">
          <b className={state === 'done' ? 'text-well' : ''}>{step.label}</b>
          <p className="text-[14px] text-soft">{step.why}</p>
          {waits && (
            <p className="text-[14px] text-warn">First: {missing.map((m) => m.label.toLowerCase()).join('; ')}.</p>
          )}
          {state !== undefined && state !== 'done' && <p className="text-[14px] text-warn">Passed over: {state}</p>}
        </div>
        {state === undefined ? (
          <>
            <Button look={next ? 'do' : 'plain'} disabled={waits} onClick={onDone}>
              Done
            </Button>
            <Button look="quiet" aria-expanded={asking} onClick={() => setAsking(!asking)}>
              Pass over
            </Button>
          </>
        ) : (
          <Button look="quiet" onClick={onUndo}>
            Take back
          </Button>
        )}
      </div>
      {asking && state === undefined && (
        <form
          className="flex items-end gap-2"
          onSubmit={(e) => {
            e.preventDefault();
            if (why.trim()) onOverrule(why.trim());
          }}
        >
          <div className="grow">
            <TextField label="Because" value={why} maxLength={200} onChange={(e) => setWhy(e.target.value)} />
          </div>
          <Button type="submit" disabled={!why.trim()}>
            Pass it over
          </Button>
        </form>
      )}
    </li>
  );
}

function BalanceOf({
  count,
  stored,
  read,
  shows,
  onSave,
}: {
  count: number;
  stored: StoredJob;
  read: readonly number[];
  shows: 'vacuum' | 'flow';
  onSave: (read: number[], shows: 'vacuum' | 'flow') => void;
}) {
  const key = (k: number) => `${stored.id}.carb.${k}`;
  // Four at most, so that the hooks stand in one order.
  const all = [
    useFigure(key(0), 'ratio'),
    useFigure(key(1), 'ratio'),
    useFigure(key(2), 'ratio'),
    useFigure(key(3), 'ratio'),
  ];
  const figures = all.slice(0, count);
  const [way, setWay] = useState(shows);
  const typed = figures.map((f) => f.value);
  const whole = typed.every((v): v is number => v !== undefined);
  const values = whole ? typed : read.length === count ? [...read] : undefined;
  const balance = values && balanceOfCarburettors(values, way);
  return (
    <Part title="Balance" about="All read at one idle, the gauge moved from one to the next; any unit.">
      <Choice label="The gauge shows" value={way} options={SHOWS} onChange={setWay} />
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-4">
        {figures.map((f, k) => (
          <FigureField key={k} label={`Carburettor ${k + 1}`} figure={f} />
        ))}
      </div>
      <Answer>
        {balance
          ? balance.alike
            ? `They draw alike: ${(100 * balance.spread).toFixed(0)} % apart.`
            : `${(100 * balance.spread).toFixed(0)} % apart. ${balance.turn.map((t, k) => `${k + 1} ${TURN[t]}`).join('; ')}.`
          : ''}
      </Answer>
      <Button className="justify-self-start" disabled={!whole} onClick={() => whole && onSave(typed, way)}>
        Write it down
      </Button>
    </Part>
  );
}
