import type { Migration } from './migration.ts';

/** Pictures lie in the data file itself: one file is the whole of the shop, and every backup has them. */
export const pictures: Migration = {
  name: '003-pictures',
  up: [
    `CREATE TABLE pictures (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id) ON DELETE CASCADE,
      type TEXT NOT NULL,
      sha256 TEXT NOT NULL,
      bytes BLOB NOT NULL,
      at TEXT NOT NULL
    )`,
    `CREATE INDEX pictures_of_job ON pictures (job_id)`,
  ],
};
