import type { JobRow, MachineRow, Page, Summary } from '@pondu/core';
import { jobBodySchema, storedMachineSchema, snagSchema, type Snag } from '@pondu/core/schema';
import { QueryTypes } from 'sequelize';
import type { Store } from './database.ts';
import { page, placeOf } from './pages.ts';
import { jobSays, machineSays, searchWords, wordsBound } from './search.ts';
import { readable } from './unreadable.ts';

export interface JobsAsked {
  stage: 'open' | 'closed' | 'any';
  /** Whether it waits for something at `now`. */
  held: 'yes' | 'no' | 'any';
  now: string;
  machine?: string | undefined;
  /** Those put away, instead of those that are there. */
  away: boolean;
  q: string;
  after?: string | undefined;
  limit: number;
}

interface RawJob {
  id: string;
  machine_id: string;
  machine_name: string | null;
  version: number;
  updated_at: string;
  deleted_at: string | null;
  body: string;
  summary: string | null;
  stand: string | null;
  now: string;
}

/** What a summary was made from: it holds for these versions alone. */
export const STAND = `j.version || '/' || m.version || '/' || coalesce((SELECT version FROM house WHERE id = 1), 0)`;

const STAGES = { open: `j.stage <> 'closed'`, closed: `j.stage = 'closed'`, any: '1' } as const;

/** It waits for something, and its time has not come. */
const WAITS = `coalesce(json_extract(j.body, '$.waitsFor'), '') <> ''
  AND coalesce(json_extract(j.body, '$.dueAt'), '9') > $now`;
const HELD = { yes: `(${WAITS})`, no: `NOT (${WAITS})`, any: '1' } as const;

export async function jobRows(store: Store, asked: JobsAsked): Promise<Page<JobRow>> {
  const words = searchWords(asked.q);
  const place = asked.after === undefined ? undefined : placeOf(asked.after);
  const where = [
    'j.importing IS NULL',
    asked.away ? '(j.deleted_at IS NOT NULL)' : 'j.deleted_at IS NULL AND m.deleted_at IS NULL',
    STAGES[asked.stage],
    HELD[asked.held],
    ...(asked.machine === undefined ? [] : ['j.machine_id = $machine']),
    ...(place ? ['(j.updated_at, j.id) < ($key, $id)'] : []),
    ...jobSays(words),
  ];
  const rows = await store.sequelize.query<RawJob>(
    `SELECT j.id, j.machine_id, m.name AS machine_name, j.version, j.updated_at, j.deleted_at, j.body,
        s.body AS summary, s.stand, ${STAND} AS now
      FROM jobs j JOIN machines m ON m.id = j.machine_id LEFT JOIN summaries s ON s.job_id = j.id
      WHERE ${where.join(' AND ')}
      ORDER BY j.updated_at DESC, j.id DESC LIMIT $most`,
    {
      type: QueryTypes.SELECT,
      bind: {
        ...wordsBound(words),
        most: asked.limit + 1,
        ...(asked.held === 'any' ? {} : { now: asked.now }),
        ...(asked.machine === undefined ? {} : { machine: asked.machine }),
        ...(place ? { key: place[0], id: place[1] } : {}),
      },
    },
  );
  return page(rows.map(jobRow), asked.limit, (r) => [r.updatedAt, r.id]);
}

function jobRow(raw: RawJob): JobRow {
  const read = readable(jobBodySchema, raw.body);
  return {
    id: raw.id,
    machineId: raw.machine_id,
    machineName: raw.machine_name ?? '',
    version: raw.version,
    updatedAt: raw.updated_at,
    awayAt: raw.deleted_at,
    job: read.ok ? read.value : null,
    unreadable: read.ok ? null : read.why,
    summary: raw.summary !== null && raw.stand === raw.now ? (JSON.parse(raw.summary) as Summary) : null,
  };
}

export interface MachinesAsked {
  away: boolean;
  q: string;
  after?: string | undefined;
  limit: number;
}

interface RawMachine {
  id: string;
  version: number;
  updated_at: string;
  deleted_at: string | null;
  body: string;
  sorted: string;
  open_jobs: number;
}

export async function machineRows(store: Store, asked: MachinesAsked): Promise<Page<MachineRow>> {
  const words = searchWords(asked.q);
  const place = asked.after === undefined ? undefined : placeOf(asked.after);
  const sorted = `coalesce(m.name, '') COLLATE NOCASE`;
  const where = [
    'm.importing IS NULL',
    asked.away ? 'm.deleted_at IS NOT NULL' : 'm.deleted_at IS NULL',
    ...(place ? [`(${sorted} > $key OR (${sorted} = $key AND m.id > $id))`] : []),
    ...machineSays(words),
  ];
  const rows = await store.sequelize.query<RawMachine>(
    `SELECT m.id, m.version, m.updated_at, m.deleted_at, m.body, coalesce(m.name, '') AS sorted,
        (SELECT count(*) FROM jobs j
          WHERE j.machine_id = m.id AND j.deleted_at IS NULL AND j.importing IS NULL AND j.stage <> 'closed') AS open_jobs
      FROM machines m WHERE ${where.join(' AND ')}
      ORDER BY ${sorted}, m.id LIMIT $most`,
    {
      type: QueryTypes.SELECT,
      bind: {
        ...wordsBound(words),
        most: asked.limit + 1,
        ...(place ? { key: place[0], id: place[1] } : {}),
      },
    },
  );
  const { rows: shown, next } = page(rows, asked.limit, (r) => [r.sorted, r.id]);
  return { rows: shown.map(machineRow), next };
}

function machineRow(raw: RawMachine): MachineRow {
  const read = readable(storedMachineSchema, raw.body);
  return {
    id: raw.id,
    version: raw.version,
    updatedAt: raw.updated_at,
    awayAt: raw.deleted_at,
    machine: read.ok ? read.value : null,
    unreadable: read.ok ? null : read.why,
    openJobs: raw.open_jobs,
  };
}

/** What was worked out ahead of a job's first screen, as JSON with what it was made from; only while it still stands. */
export async function aheadOfJob(store: Store, id: string): Promise<{ stand: string; ahead: string } | undefined> {
  const [row] = await store.sequelize.query<{ stand: string; now: string; ahead: string | null }>(
    `SELECT s.stand, s.ahead, ${STAND} AS now FROM summaries s
      JOIN jobs j ON j.id = s.job_id JOIN machines m ON m.id = j.machine_id WHERE s.job_id = $id`,
    { type: QueryTypes.SELECT, bind: { id } },
  );
  return row !== undefined && row.ahead !== null && row.stand === row.now
    ? { stand: row.stand, ahead: row.ahead }
    : undefined;
}

/** Open jobs that say when they can go on, the soonest first. */
export async function waitingJobs(store: Store) {
  const rows = await store.sequelize.query<{ id: string; machine_name: string | null; body: string }>(
    `SELECT j.id, m.name AS machine_name, j.body FROM jobs j JOIN machines m ON m.id = j.machine_id
      WHERE j.importing IS NULL AND j.deleted_at IS NULL AND m.deleted_at IS NULL AND j.stage <> 'closed'
        AND json_extract(j.body, '$.dueAt') IS NOT NULL
      ORDER BY json_extract(j.body, '$.dueAt'), j.id`,
    { type: QueryTypes.SELECT },
  );
  return rows.flatMap(({ id, machine_name, body }) => {
    const read = readable(jobBodySchema, body);
    return read.ok && read.value.dueAt ? [{ id, machineName: machine_name ?? '', job: read.value }] : [];
  });
}

/** Snags of a machine's jobs that nobody has seen to yet. */
export async function openSnags(store: Store, machineId: string): Promise<(Snag & { jobId: string })[]> {
  const rows = await store.sequelize.query<{ body: string; job_id: string }>(
    `SELECT s.body, s.job_id FROM snags s JOIN jobs j ON j.id = s.job_id
      WHERE j.machine_id = $machineId AND j.deleted_at IS NULL AND j.importing IS NULL`,
    { type: QueryTypes.SELECT, bind: { machineId } },
  );
  return rows.flatMap(({ body, job_id: jobId }) => {
    const read = readable(snagSchema, body);
    return read.ok && !read.value.done ? [{ ...read.value, jobId }] : [];
  });
}
