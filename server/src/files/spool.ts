/**
 * What an import has read and found good, one JSON line a row, waiting in two temporary files to be written into the
 * data in slices: machines first, since jobs name them by their place among these.
 */
export interface Spool {
  machines: string;
  rows: string;
}
export type MachineLine = [id: string, name: string, body: string];
export type RowLine =
  | ['job', machine: number, id: string, body: string]
  | ['event', jobId: string, eventId: string, type: string, body: string]
  | ['snag', jobId: string, id: string, body: string]
  | ['picture', jobId: string, id: string, type: string, base64: string];

export type ReadImport =
  | { ok: true; house: string | null; rows: number }
  | {
      ok: false;
      code: 'invalid' | 'not-json';
      /** The first of them; `count` is of all that were looked at, `more` that not all of the file was. */
      fields: { field: string; message: string }[];
      count: number;
      more: boolean;
    };
