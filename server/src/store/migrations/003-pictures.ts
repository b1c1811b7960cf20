import { eventsAnew } from './eventsAnew.ts';
import type { Migration } from './migration.ts';

const SAYS = ['reading.note', 'fix.what', 'fix.parts', 'fix.partNumber', 'cause.cause', 'cause.note', 'photo.words'];

/** Pictures lie in the data file itself: one file is the whole of the shop, and every backup has them. */
export const pictures: Migration = {
  name: '003-pictures',
  up: [
    ...eventsAnew(['reading', 'fix', 'cause', 'setting', 'sheet', 'photo'], SAYS),
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
