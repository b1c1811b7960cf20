/**
 * One thing entered, on its way to the workshop. It has its id before it is sent, and keeps it until it is
 * acknowledged: sent again, it is the same entry.
 */
export interface Entry {
  id: string;
  /** Order in which they were entered on this device. */
  seq: number;
  /** When it was entered. */
  at: string;
  jobId: string;
  method: 'POST' | 'PATCH' | 'PUT';
  path: string;
  body: Record<string, unknown>;
  /** A picture, sent as it is in place of the body. */
  blob?: Blob;
  /** Version of the job that was on screen. */
  version: number | undefined;
  state: 'waiting' | 'refused' | 'conflict';
  /** Why it was refused. */
  why: string;
  /** The code of the refusal. */
  code: string;
}
