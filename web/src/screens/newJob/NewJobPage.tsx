import type { Complaint } from '@pondu/core';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { useHouse, useJobRows, useMachine, useMachineRows } from '../../api/hooks.ts';
import { openJob } from '../../api/newJob.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredMachine } from '../../api/types.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { SearchField } from '../../ui/SearchField.tsx';
import { Failed, Loading } from '../../ui/States.tsx';
import { useModel, useReady } from '../../tracer/useTracer.ts';
import { ComplaintFields, emptyComplaint, type ComplaintDraft } from '../job/ComplaintFields.tsx';
import { MachineForm } from '../machines/MachineForm.tsx';

/** So many machines are to be seen at once; the others are found by their names, or all of them shown. */
const AT_FIRST = 8;

/** What will be traced, as far as it is told: until then what brings most machines in. */
const likely = ({ symptom, also, pattern }: ComplaintDraft): Complaint => ({
  ...emptyComplaint,
  symptom: symptom || 'no-fire',
  ...(also ? { also } : {}),
  pattern: pattern || 'constant',
});

/** A machine comes in: which one, what it does, and when. */
export function NewJobPage() {
  usePageTitle('New job');
  const [q, setQ] = useState('');
  const machines = useMachineRows({ q });
  const [params] = useSearchParams();
  const [draft, setDraft, clear] = useDraft('new-job', {
    machineId: params.get('machine') ?? '',
    complaint: emptyComplaint,
  });
  const [adding, setAdding] = useState(false);
  const [all, setAll] = useState(false);
  const seen = useJobRows({ stage: 'any' });
  const [errors, setErrors] = useState<Record<string, string>>({});
  const go = useNavigate();
  const picked = useMachine(draft.machineId || undefined);
  const house = useHouse();
  const model = useModel(picked.data?.machine, house.data?.house);
  useReady(picked.data?.machine, house.data?.house, likely(draft.complaint));
  if (machines.error && !machines.data) return <Failed error={machines.error} retry={() => void machines.mutate()} />;
  if (!machines.data) return <Loading what="Opening a new job" />;
  const found = machines.data.rows.flatMap(({ id, machine }) => (machine ? [{ id, machine }] : []));
  // One chosen before stays in sight, whatever is looked for now.
  const elsewhere = picked.data && !found.some((m) => m.id === picked.data!.id) ? [picked.data] : [];
  // Those that were worked on last come first; what was never here stands behind, by its name.
  const places = new Map([...(seen.data?.rows ?? [])].reverse().map((r, k) => [r.machineId, k + 1]));
  const byLast = [...found].sort((a, b) => (places.get(b.id) ?? 0) - (places.get(a.id) ?? 0));
  const chosen = byLast.filter((m) => m.id === draft.machineId);
  const first = all || q ? byLast : byLast.slice(0, AT_FIRST);
  const shown = [...elsewhere, ...chosen.filter((m) => !first.includes(m)), ...first];
  const hidden = byLast.length - shown.length;
  const known = shown.some((m) => m.id === draft.machineId);

  async function open() {
    const { complaint } = draft;
    const wrong: Record<string, string> = {};
    if (!known) wrong['machine'] = 'Choose a machine, or add it.';
    if (!complaint.symptom) wrong['symptom'] = 'Choose what it does.';
    if (!complaint.pattern) wrong['pattern'] = 'Choose when it does it.';
    setErrors(wrong);
    if (Object.keys(wrong).length) return;
    try {
      const id = await openJob(draft.machineId, complaint as Complaint);
      clear();
      void go(`/jobs/${id}/look`);
    } catch (error) {
      setErrors({ all: problemOf(error).message });
    }
  }
  const added = async (machine: StoredMachine) => {
    await machines.mutate();
    setDraft({ ...draft, machineId: machine.id });
    setAdding(false);
  };
  return (
    <div className="mx-auto grid max-w-3xl gap-4 p-3 sm:p-5">
      <h1 className="text-2xl">New job</h1>
      <section className="card grid gap-3 p-4" aria-label="Machine">
        <SearchField label="Search machines" onSearch={setQ} />
        <Choice
          label="Which machine"
          columns="sm:grid-cols-2"
          value={draft.machineId}
          options={shown.map((m) => ({
            value: m.id,
            label: m.machine.name,
            help: [m.machine.kind, m.machine.year].filter(Boolean).join(', '),
          }))}
          onChange={(machineId) => setDraft({ ...draft, machineId })}
        />
        {hidden > 0 && (
          <Button look="quiet" className="justify-self-start" onClick={() => setAll(true)}>
            {`Show ${hidden} more`}
          </Button>
        )}
        {errors['machine'] && (
          <p role="alert" className="font-medium text-danger">
            {errors['machine']}
          </p>
        )}
        {adding ? (
          <MachineForm draftKey="new-machine" onSaved={(m) => void added(m)} onCancel={() => setAdding(false)} />
        ) : (
          <Button className="justify-self-start" onClick={() => setAdding(true)}>
            Add a machine
          </Button>
        )}
      </section>
      <section className="card grid gap-4 p-4" aria-label="Complaint">
        <ComplaintFields
          value={draft.complaint}
          onChange={(complaint) => setDraft({ ...draft, complaint })}
          errors={errors}
          stations={model.data?.stations ?? []}
        />
      </section>
      {errors['all'] && (
        <p role="alert" className="font-medium text-danger">
          {errors['all']}
        </p>
      )}
      <Button look="do" className="justify-self-start" onClick={() => void open()}>
        Open the job
      </Button>
    </div>
  );
}
