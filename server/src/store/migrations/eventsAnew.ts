import { field, kept, words } from './002-lists.ts';

/**
 * The events' table made anew for these sorts, since SQLite changes no check in place; what is there moves over. `says`:
 * where in an event the words stand that are found.
 */
export const eventsAnew = (sorts: readonly string[], says: readonly string[]): string[] => [
  `CREATE TABLE job_events_fresh (
      seq INTEGER PRIMARY KEY AUTOINCREMENT,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      event_id TEXT NOT NULL,
      type TEXT NOT NULL CHECK (type IN (${sorts.map((s) => `'${s}'`).join(', ')})),
      body TEXT NOT NULL CHECK (json_valid(body)),
      UNIQUE (job_id, event_id)
    )`,
  `INSERT INTO job_events_fresh (seq, job_id, event_id, type, body)
      SELECT seq, job_id, event_id, type, body FROM job_events`,
  `DROP TABLE job_events`,
  `ALTER TABLE job_events_fresh RENAME TO job_events`,
  ...kept('job_events', 'event', `new.job_id || '/' || new.event_id`, 'NULL', 'new.job_id', words(...says.map(field))),
];
