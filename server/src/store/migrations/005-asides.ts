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
  field('aside.note'),
);

/** Checks that told nothing are events too: the table is made anew, for SQLite changes no check in place. */
export const asides: Migration = {
  name: '005-asides',
  up: [
    `CREATE TABLE job_events_fresh (
      seq INTEGER PRIMARY KEY AUTOINCREMENT,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      event_id TEXT NOT NULL,
      type TEXT NOT NULL CHECK (type IN ('reading', 'fix', 'cause', 'setting', 'sheet', 'photo', 'aside')),
      body TEXT NOT NULL CHECK (json_valid(body)),
      UNIQUE (job_id, event_id)
    )`,
    `INSERT INTO job_events_fresh (seq, job_id, event_id, type, body)
      SELECT seq, job_id, event_id, type, body FROM job_events`,
    `DROP TABLE job_events`,
    `ALTER TABLE job_events_fresh RENAME TO job_events`,
    ...kept('job_events', 'event', `new.job_id || '/' || new.event_id`, 'NULL', 'new.job_id', SAYS),
  ],
};
