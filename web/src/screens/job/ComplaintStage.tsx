import type { Complaint, JobBody } from '@pondu/core';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { problemOf } from '../../api/problem.ts';
import { useDraft } from '../../draft/useDraft.ts';
import { useModel } from '../../tracer/useTracer.ts';
import { Button } from '../../ui/Button.tsx';
import { SelectField } from '../../ui/Field.tsx';
import { WAITS } from '../../words/complaint.ts';
import { ComplaintFields, type ComplaintDraft } from './ComplaintFields.tsx';
import type { JobPlace } from './place.ts';
import { useMoveOn, usePatch } from './useMoveOn.ts';

export function ComplaintStage({ stored, machine, house }: JobPlace) {
  const model = useModel(machine, house);
  const [draft, setDraft, clear] = useDraft<ComplaintDraft>(`${stored.id}.complaint`, stored.job.complaint);
  const patch = usePatch(stored);
  const moveOn = useMoveOn(stored);
  const go = useNavigate();
  const changed = JSON.stringify(draft) !== JSON.stringify(stored.job.complaint);

  async function save() {
    if (await patch({ complaint: draft as Complaint })) {
      clear();
      toast.success('Complaint saved. The suspects follow it.');
    }
  }
  async function putAway() {
    try {
      await call('DELETE', `/jobs/${stored.id}`);
      void go('/');
      const undo = () => call('POST', `/jobs/${stored.id}/restore`);
      toast('Job put away.', { action: { label: 'Undo', onClick: () => void undo() } });
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <div className="grid gap-4 p-3 sm:p-5">
      <section className="card grid gap-4 p-4" aria-label="Complaint">
        <ComplaintFields value={draft} onChange={setDraft} stations={model.data?.stations ?? []} />
        <div className="flex flex-wrap gap-3">
          {changed ? (
            <>
              <Button look="do" onClick={() => void save()}>
                Save the complaint
              </Button>
              <Button onClick={clear}>Throw the change away</Button>
            </>
          ) : (
            <Button look="do" onClick={() => void moveOn('look')}>
              Go on: look before measuring
            </Button>
          )}
        </div>
      </section>
      <section className="card flex flex-wrap items-end gap-4 p-4" aria-label="Waiting">
        <div className="w-64">
          <SelectField
            label="The job"
            value={stored.job.waitsFor}
            options={WAITS}
            onChange={(waitsFor) => void patch({ waitsFor: waitsFor as JobBody['waitsFor'], dueAt: null })}
          />
        </div>
        <div className="grow" />
        <Button onClick={() => void putAway()}>Put the job away</Button>
      </section>
    </div>
  );
}
