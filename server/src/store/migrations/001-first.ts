import type { Migration } from './migration.ts';

export const first: Migration = {
  name: '001-first',
  up: [
    `CREATE TABLE machines (
      id TEXT PRIMARY KEY,
      body TEXT NOT NULL CHECK (json_valid(body)),
      version INTEGER NOT NULL DEFAULT 1,
      deleted_at TEXT,
      created_at TEXT NOT NULL,
      updated_at TEXT NOT NULL
    )`,
    `CREATE TABLE jobs (
      id TEXT PRIMARY KEY,
      machine_id TEXT NOT NULL REFERENCES machines (id),
      body TEXT NOT NULL CHECK (json_valid(body)),
      version INTEGER NOT NULL DEFAULT 1,
      deleted_at TEXT,
      created_at TEXT NOT NULL,
      updated_at TEXT NOT NULL
    )`,
    `CREATE INDEX jobs_of_machine ON jobs (machine_id)`,
    `CREATE TABLE job_events (
      seq INTEGER PRIMARY KEY AUTOINCREMENT,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      event_id TEXT NOT NULL,
      type TEXT NOT NULL CHECK (type IN ('reading', 'fix', 'cause', 'setting')),
      body TEXT NOT NULL CHECK (json_valid(body)),
      UNIQUE (job_id, event_id)
    )`,
    `CREATE TABLE snags (
      id TEXT PRIMARY KEY,
      job_id TEXT NOT NULL REFERENCES jobs (id),
      body TEXT NOT NULL CHECK (json_valid(body))
    )`,
    `CREATE INDEX snags_of_job ON snags (job_id)`,
    `CREATE TABLE house (
      id INTEGER PRIMARY KEY CHECK (id = 1),
      body TEXT NOT NULL CHECK (json_valid(body)),
      version INTEGER NOT NULL DEFAULT 1
    )`,
  ],
};
