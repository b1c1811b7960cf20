import { confirmations, type Confirm } from '../proving/conditions.ts';
import { proveOut, proven, type Proof } from '../proving/proveOut.ts';
import type { Complaint, JobEvent } from '../schema/job.ts';
import type { Causes } from '../tracing/causes.ts';
import type { Tracer } from '../tracing/trace.ts';
import { checkView, type CheckView } from './views.ts';

export interface CauseView {
  id: string;
  label: string;
  look: string;
  share: number;
  check: CheckView | null;
}
export const causesView = ({ fault, causes, age, hurt }: Causes) => ({
  hurt: hurt.map((h) => ({
    part: h.fault.part.label,
    how: h.fault.mode.label,
    check: h.check ? checkView(h.check) : null,
  })),
  faultId: fault.id,
  part: fault.part.label,
  how: fault.mode.label,
  age,
  causes: causes.map((c): CauseView => ({
    id: c.spec.id,
    label: c.spec.label,
    look: c.spec.look,
    share: c.share,
    check: c.check ? checkView(c.check) : null,
  })),
});
export type CausesView = ReturnType<typeof causesView>;

export interface ProofView extends Omit<Proof, 'check' | 'reading' | 'before'> {
  check: CheckView;
  reading: Proof['reading'] | null;
  before: Proof['before'] | null;
}
export interface ProofsView {
  proven: boolean;
  seenTo: readonly Confirm[];
  proofs: readonly ProofView[];
}
export function proofView(tracer: Tracer, complaint: Complaint, events: readonly JobEvent[]): ProofsView {
  const proofs = proveOut(tracer, complaint, events);
  const seenTo = confirmations(tracer.model, events);
  return {
    proven: proven(proofs, seenTo),
    seenTo,
    proofs: proofs.map((p): ProofView => ({
      ...p,
      check: checkView(p.check),
      reading: p.reading ?? null,
      before: p.before ?? null,
    })),
  };
}
