import { field, kept, words } from './002-lists.ts';
import type { Migration } from './migration.ts';

const SAYS = words(
  field('reading.note'),
  field('fix.what'),
  field('fix.parts'),
  field('fix.partNumber'),
  field('cause.cause'),
  field('cause.note'),
  field('photo.words'),
);

/** Pictures lie in the data file itself: one file is the whole of the shop, and every backup has them. */
export const pictures: Migration = {
  name: '003-pictures',
  up: [
    // More sorts of events than the first table took: made anew, for SQLite changes no check in place.
    `CREATE TABLE job_events_fresh (
      seq INTEGER PRIMARY KEY AUTOINCREMENT,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      event_id TEXT NOT NULL,
      type TEXT NOT NULL CHECK (type IN ('reading', 'fix', 'cause', 'setting', 'sheet', 'photo')),
      body TEXT NOT NULL CHECK (json_valid(body)),
      UNIQUE (job_id, event_id)
    )`,
    `INSERT INTO job_events_fresh (seq, job_id, event_id, type, body)
      SELECT seq, job_id, event_id, type, body FROM job_events`,
    `DROP TABLE job_events`,
    `ALTER TABLE job_events_fresh RENAME TO job_events`,
    ...kept('job_events', 'event', `new.job_id || '/' || new.event_id`, 'NULL', 'new.job_id', SAYS),
    `CREATE TABLE pictures (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
      type TEXT NOT NULL,
      sha256 TEXT NOT NULL,
      bytes BLOB NOT NULL,
      at TEXT NOT NULL
    )`,
    `CREATE INDEX pictures_of_job ON pictures (job_id)`,
    // Worked out with what the bay shows, for the job's first screen.
    `ALTER TABLE summaries ADD COLUMN ahead TEXT`,
    `DELETE FROM summaries`,
  ],
};
