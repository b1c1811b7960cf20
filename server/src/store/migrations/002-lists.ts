import type { Migration } from './migration.ts';

/** Text of one source, its blanks joined; nothing where there is none. */
export const words = (...parts: string[]) => `trim(${parts.map((p) => `coalesce(${p}, '')`).join(` || ' ' || `)})`;
export const field = (path: string) => `json_extract(new.body, '$.${path}')`;

const MACHINE = words(field('name'), field('kind'), field('maker'), field('year'), field('notes'));
const JOB = words(field('title'), field('complaint.words'), field('complaint.since'), field('complaint.before'));
const EVENT = words(
  field('reading.note'),
  field('fix.what'),
  field('fix.parts'),
  field('cause.cause'),
  field('cause.note'),
);
const SNAG = field('what');

/** Keeps one source's line of the index in step with its row; a row that says nothing has none. */
export function kept(table: string, kind: string, ref: string, machine: string, job: string, text: string): string[] {
  const put = `
      DELETE FROM search_docs WHERE kind = '${kind}' AND ref = ${ref};
      INSERT INTO search_docs (kind, ref, machine_id, job_id, text)
        SELECT '${kind}', ${ref}, ${machine}, ${job}, ${text} WHERE ${text} <> '';`;
  return [
    `CREATE TRIGGER ${table}_found_new AFTER INSERT ON ${table} BEGIN ${put} END`,
    `CREATE TRIGGER ${table}_found_changed AFTER UPDATE OF body ON ${table} BEGIN ${put} END`,
    `CREATE TRIGGER ${table}_found_gone AFTER DELETE ON ${table} BEGIN
      DELETE FROM search_docs WHERE kind = '${kind}' AND ref = ${ref.replaceAll('new.', 'old.')};
    END`,
  ];
}
const SOURCES = [
  ['machines', 'machine', 'new.id', 'new.id', 'NULL', MACHINE],
  ['jobs', 'job', 'new.id', 'new.machine_id', 'new.id', JOB],
  ['job_events', 'event', `new.job_id || '/' || new.event_id`, 'NULL', 'new.job_id', EVENT],
  ['snags', 'snag', 'new.id', 'NULL', 'new.job_id', SNAG],
] as const;

/** The rows that are there already, by the same text. */
const filled = SOURCES.map(
  ([table, kind, ref, machine, job, text]) =>
    `INSERT INTO search_docs (kind, ref, machine_id, job_id, text)
      SELECT '${kind}', ${ref}, ${machine}, ${job}, ${text} FROM ${table} AS new WHERE ${text} <> ''`,
);

/** Lists in pages, full text, imports that others can write beside, devices, a journal, what the bays show. */
export const lists: Migration = {
  name: '002-lists',
  up: [
    `ALTER TABLE machines ADD COLUMN importing TEXT`,
    `ALTER TABLE machines ADD COLUMN name TEXT GENERATED ALWAYS AS (json_extract(body, '$.name')) VIRTUAL`,
    `CREATE INDEX machines_by_name ON machines (name COLLATE NOCASE, id)`,
    `CREATE INDEX machines_importing ON machines (importing) WHERE importing IS NOT NULL`,
    `ALTER TABLE jobs ADD COLUMN importing TEXT`,
    `ALTER TABLE jobs ADD COLUMN stage TEXT GENERATED ALWAYS AS (json_extract(body, '$.stage')) VIRTUAL`,
    `CREATE INDEX jobs_by_time ON jobs (updated_at DESC, id DESC)`,
    `CREATE INDEX jobs_importing ON jobs (importing) WHERE importing IS NOT NULL`,
    `CREATE TABLE search_docs (
      id INTEGER PRIMARY KEY,
      kind TEXT NOT NULL,
      ref TEXT NOT NULL,
      machine_id TEXT,
      job_id TEXT,
      text TEXT NOT NULL,
      UNIQUE (kind, ref)
    )`,
    `CREATE VIRTUAL TABLE search USING fts5 (
      text, content = 'search_docs', content_rowid = 'id', tokenize = 'unicode61 remove_diacritics 2'
    )`,
    `CREATE TRIGGER search_new AFTER INSERT ON search_docs BEGIN
      INSERT INTO search (rowid, text) VALUES (new.id, new.text);
    END`,
    `CREATE TRIGGER search_gone AFTER DELETE ON search_docs BEGIN
      INSERT INTO search (search, rowid, text) VALUES ('delete', old.id, old.text);
    END`,
    ...SOURCES.flatMap(([table, kind, ref, machine, job, text]) => kept(table, kind, ref, machine, job, text)),
    ...filled,
    `CREATE TABLE summaries (
      job_id TEXT PRIMARY KEY REFERENCES jobs (id) ON DELETE CASCADE,
      stand TEXT NOT NULL,
      body TEXT NOT NULL CHECK (json_valid(body))
    )`,
    `CREATE TABLE devices (
      id TEXT PRIMARY KEY,
      name TEXT NOT NULL,
      initials TEXT NOT NULL,
      token_hash TEXT NOT NULL UNIQUE,
      created_at TEXT NOT NULL,
      seen_at TEXT NOT NULL,
      out_at TEXT
    )`,
    `CREATE TABLE journal (
      seq INTEGER PRIMARY KEY AUTOINCREMENT,
      at TEXT NOT NULL,
      what TEXT NOT NULL CHECK (what IN ('house', 'machine')),
      ref TEXT NOT NULL,
      before TEXT CHECK (before IS NULL OR json_valid(before)),
      after TEXT NOT NULL CHECK (json_valid(after)),
      device TEXT NOT NULL,
      initials TEXT NOT NULL
    )`,
    `CREATE INDEX journal_of ON journal (what, ref)`,
  ],
};
