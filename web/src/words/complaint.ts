import type { Complaint, JobBody, Stage } from '@pondu/core';

export const SYMPTOMS: readonly { value: Complaint['symptom']; label: string; help: string }[] = [
  { value: 'no-fire', label: 'Cranks, will not fire', help: 'The starter turns it, nothing else happens.' },
  { value: 'dies', label: 'Fires and dies', help: 'Runs for a while, then stops as if switched off.' },
  { value: 'misses', label: 'Misses', help: 'Runs, but not on every cylinder.' },
  { value: 'hard-start', label: 'Hard to start', help: 'Catches late or unwillingly.' },
];
export const PATTERNS: readonly { value: Complaint['pattern']; label: string; help: string }[] = [
  { value: 'constant', label: 'All the time', help: 'It does it now.' },
  { value: 'hot', label: 'When hot', help: 'Cold it is well.' },
  { value: 'damp', label: 'When wet', help: 'Rain, fog, a wash.' },
  { value: 'now-and-then', label: 'Now and then', help: 'Nobody knows when.' },
];
const labelOf = <V extends string>(list: readonly { value: V; label: string }[], value: V) =>
  list.find((x) => x.value === value)?.label ?? value;

/** "Cranks, will not fire, when hot". */
export const complaintWords = (c: Complaint): string =>
  c.pattern === 'constant'
    ? labelOf(SYMPTOMS, c.symptom)
    : `${labelOf(SYMPTOMS, c.symptom)}, ${labelOf(PATTERNS, c.pattern).toLowerCase()}`;

export const STAGE_LABELS: Readonly<Record<Stage, string>> = {
  complaint: 'Complaint',
  look: 'Look',
  trace: 'Trace',
  repair: 'Repair',
  'set up': 'Set up',
  prove: 'Prove',
  closed: 'Closed',
};
export const WAITS: readonly { value: JobBody['waitsFor']; label: string }[] = [
  { value: '', label: 'Waits for nothing' },
  { value: 'part', label: 'Waits for a part' },
  { value: 'hot soak', label: 'Waits for a hot soak' },
  { value: 'helper', label: 'Waits for a helper' },
  { value: 'dry day', label: 'Waits for a dry day' },
  { value: 'owner', label: 'Waits for the owner' },
];
