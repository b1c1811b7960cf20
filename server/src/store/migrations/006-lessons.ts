import type { Migration } from './migration.ts';

/** The practice bench: apart from machines and jobs, so that nothing of it counts among them. */
export const lessons: Migration = {
  name: '006-lessons',
  up: [
    `CREATE TABLE lessons (
      id TEXT PRIMARY KEY,
      machine_id TEXT,
      body TEXT NOT NULL,
      truth TEXT NOT NULL,
      moves TEXT NOT NULL,
      review TEXT,
      played_by TEXT NOT NULL,
      begun_at TEXT NOT NULL,
      over_at TEXT
    )`,
    'CREATE INDEX lessons_begun ON lessons (begun_at)',
  ],
};
