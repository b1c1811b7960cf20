import type { Complaint, Conditions } from '@pondu/core';

/** What was read: a word, SI figures, or OL. */
export type Read = string | number;

/** A job as a shop would tell it. Written from the trade before it is run; it is never changed to pass. */
export interface Replay {
  readonly name: string;
  /** The island machine of the same fit-out, by its file. */
  readonly machine: string;
  readonly complaint: Pick<Complaint, 'symptom'> & Partial<Complaint>;
  /** In the order in which they were taken, those that told nothing or were taken wrong as well, and what was done between. */
  readonly readings: readonly (
    readonly ['fix', repairId: string] | readonly [checkId: string, read: Read, now?: Partial<Conditions>]
  )[];
  /** The fault that it was, by what put it right; of two the one that was found last. */
  readonly truth: string;
  /** What it took in the shop. */
  readonly minutes?: number;
  /** It is not followed to its end from its complaint alone: only what leads after its readings is counted. */
  readonly leadsOnly?: true;
}

type Told = Partial<Complaint> & Pick<Complaint, 'symptom'>;
/** Short jobs, two to six readings each, as they are told over a counter; what they are judged by is who leads. */
export const toldIn = (machine: string, complaint: Told, truth: string, readings: Replay['readings']): Replay => ({
  name: `${machine}, ${complaint.symptom}: ${truth}`,
  machine,
  complaint,
  readings,
  truth,
  leadsOnly: true,
});
