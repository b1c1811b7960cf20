import {
  inWalkingOrder,
  type CheckView,
  type Conditions,
  type Landing,
  type Opening,
  type TraceView,
} from '@pondu/core';
import { format } from 'date-fns';
import { ArrowLeft, Printer, RefreshCw } from 'lucide-react';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useHouse, useJob, useMachine } from '../../api/hooks.ts';
import type { StoredJob, StoredMachine } from '../../api/types.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { useModel, useTrace, useWells } from '../../tracer/useTracer.ts';
import type { JobInput } from '../../tracer/worker.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField, TextField } from '../../ui/Field.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { showBand } from '../../units/quantity.ts';
import { complaintWords } from '../../words/complaint.ts';
import { placeholder } from '../../words/failures.ts';
import { inputOf, nowOf } from './jobInput.ts';
import { useManyReadings } from './useManyReadings.ts';

const ANY: Conditions = { warmth: 'unknown', faultPresent: 'unknown' };

/** So many checks go on one page. */
const TAKEN = 6;

/** A sheet to take along: the next checks in the order of walking, with boxes; typed in afterwards in one go. */
export function SheetPage() {
  const { id } = useParams();
  const job = useJob(id);
  const machine = useMachine(job.data?.machineId);
  const house = useHouse();
  usePageTitle('Sheet to take along');
  const ready = job.data && machine.data && house.data;
  const input = useMemo(
    () => (ready ? inputOf(job.data!, machine.data!.machine, house.data!.house) : undefined),
    [ready, job.data, machine.data, house.data],
  );
  const trace = useTrace(input, job.data ? nowOf(job.data) : ANY);
  const model = useModel(machine.data?.machine, house.data?.house);
  const error = job.error ?? machine.error ?? house.error ?? trace.error ?? model.error;
  if (error) return <Failed error={error} />;
  if (!job.data || !machine.data || !input || !trace.data || !model.data)
    return <Loading what="Choosing what to take along" />;
  const all = [...model.data.checks.map((c) => c.check), ...trace.data.probes];
  return (
    <Sheet
      key={job.data.id}
      stored={job.data}
      machine={machine.data}
      input={input}
      trace={trace.data}
      checks={all}
      stations={model.data.stations.map((s) => s.id)}
    />
  );
}

interface Props {
  stored: StoredJob;
  machine: StoredMachine;
  input: JobInput;
  trace: TraceView;
  checks: readonly CheckView[];
  stations: readonly string[];
}

function Sheet({ stored, machine, input, trace, checks, stations }: Props) {
  // What was printed stays on the page until it is typed in, whatever the trace would choose by then.
  const [held, hold, letGo] = useDraft<readonly string[]>(`${stored.id}.sheet`, []);
  const opened = trace.opened as readonly Opening[];
  const next = inWalkingOrder(trace.ranked.slice(0, TAKEN), stations, opened).map((c) => c.id);
  const ids = held.length > 0 ? held : next;
  const taken = ids.flatMap((checkId) => checks.find((c) => c.id === checkId) ?? []);
  const wells = useWells(input, ids);
  const many = useManyReadings({ stored, draft: `${stored.id}.sheet.typed`, checks: taken, now: nowOf(stored) });
  const print = () => {
    hold(ids);
    window.print();
  };
  const put = (checkId: string, text: string) => {
    if (held.length === 0) hold(ids);
    many.put(checkId, text);
  };
  if (taken.length === 0)
    return (
      <div className="p-4">
        <p className="text-lg font-semibold">Nothing is left to check.</p>
        <Back id={stored.id} />
      </div>
    );
  return (
    <div className="mx-auto grid max-w-4xl gap-4 p-3 sm:p-5">
      <div className="no-print flex flex-wrap items-center gap-3">
        <Back id={stored.id} />
        <Button look="do" onClick={print}>
          <Printer aria-hidden className="size-5" /> Print it
        </Button>
        {held.length > 0 && !many.begun && (
          <Button onClick={letGo}>
            <RefreshCw aria-hidden className="size-5" /> Take the next ones instead
          </Button>
        )}
      </div>
      <section aria-label="Sheet" className="card p-4 print:border-0 print:p-0">
        <h1 className="text-xl" translate="no">
          {machine.machine.name}
        </h1>
        <p className="mb-2 text-soft">
          {complaintWords(stored.job.complaint)} · {format(new Date(), 'd MMM yyyy')}
        </p>
        <ol className="divide-y divide-rule">
          {taken.map((check, k) => (
            <SheetRow key={check.id} n={k + 1} check={check} well={wells.data?.[check.id]} />
          ))}
        </ol>
      </section>
      <form
        aria-label="What was read"
        className="no-print card grid gap-3 p-4"
        onSubmit={(e) => {
          e.preventDefault();
          void many.save().then(letGo);
        }}
      >
        <h2 className="text-lg">Typed in afterwards</h2>
        <div className="grid gap-3 sm:grid-cols-2">
          {taken.map((check, k) => (
            <Entered
              key={check.id}
              label={`${k + 1}. ${check.label}`}
              check={check}
              value={many.typed[check.id] ?? ''}
              error={many.errors[check.id]}
              onChange={(text) => put(check.id, text)}
            />
          ))}
        </div>
        <Button look="do" type="submit" className="justify-self-start" disabled={many.saving || !many.begun}>
          {many.saving ? 'Saving…' : 'Save what was read'}
        </Button>
      </form>
    </div>
  );
}

const Back = ({ id }: { id: string }) => (
  <Link to={`/jobs/${id}/trace`} className="inline-flex min-h-12 items-center gap-2 underline">
    <ArrowLeft aria-hidden className="size-5" /> Back to the trace
  </Link>
);

/** What a sound machine shows, in a line. */
function wellWords(check: CheckView, well: Landing | undefined): string {
  if (!well) return '';
  if (!check.dimension) {
    const [word] = Object.entries(well.words).sort((a, b) => b[1] - a[1])[0] ?? [];
    return word ?? '';
  }
  return well.openShare === 1 ? 'OL' : showBand(well.low, well.high, check.dimension);
}

function SheetRow({ n, check, well }: { n: number; check: CheckView; well: Landing | undefined }) {
  return (
    <li className="grid grid-cols-[2rem_minmax(0,1fr)_9rem] gap-x-3 py-2 break-inside-avoid">
      <b className="text-lg">{n}</b>
      <div className="text-[15px]">
        <p className="font-semibold">{check.label}</p>
        <p>
          {check.set} {check.touch} {check.watch}
        </p>
        {check.opens.length > 0 && <p>Open first: {check.opens.join(', ')}.</p>}
        {check.cautions.length > 0 && <p className="text-warn">Mind: {check.cautions.join(', ')}.</p>}
      </div>
      <div className="text-[14px]">
        <span aria-hidden className="mb-1 block h-12 rounded border-[1.5px] border-ink" />
        when well: {wellWords(check, well)}
      </div>
    </li>
  );
}

function Entered({
  label,
  check,
  value,
  error,
  onChange,
}: {
  label: string;
  check: CheckView;
  value: string;
  error: string | undefined;
  onChange: (text: string) => void;
}) {
  if (check.dimension)
    return (
      <TextField
        label={label}
        inputMode="text"
        placeholder={placeholder(check.dimension)}
        value={value}
        onChange={(e) => onChange(e.target.value)}
        error={error}
      />
    );
  const words = check.words.map((word) => ({ value: word, label: word }));
  return (
    <SelectField
      label={label}
      value={value}
      options={[{ value: '', label: 'Not done' }, ...words]}
      onChange={onChange}
      error={error}
    />
  );
}
