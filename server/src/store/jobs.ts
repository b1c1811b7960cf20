import { randomUUID } from 'node:crypto';
import { entryOf, type StoredJob } from '@pondu/core';
import {
  JOB_LIMITS,
  jobBodySchema,
  jobEventSchema,
  snagSchema,
  type JobBody,
  type JobEvent,
  type Snag,
} from '@pondu/core/schema';
import { QueryTypes, type Transaction } from 'sequelize';
import { notFound, Problem } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { JobRow, PictureRow } from './models.ts';
import { readable, readBody } from './unreadable.ts';
import { stale } from './versions.ts';

async function rowOf(store: Store, id: string, transaction?: Transaction) {
  const row = await store.models.jobs.findByPk(id, transaction ? { transaction } : {});
  if (!row || row.deletedAt || row.importing) throw notFound('job', id);
  return row;
}

async function assemble(store: Store, row: JobRow, transaction?: Transaction): Promise<StoredJob> {
  const options = { where: { jobId: row.id }, ...(transaction ? { transaction } : {}) };
  const [events, snags] = await Promise.all([
    store.models.events.findAll({ ...options, order: [['seq', 'ASC']], raw: true }),
    store.models.snags.findAll({ ...options, raw: true }),
  ]);
  const readEvents = events.map((e) => readable(jobEventSchema, e.body));
  const readSnags = snags.map((s) => readable(snagSchema, s.body));
  return {
    id: row.id,
    machineId: row.machineId,
    version: row.version,
    updatedAt: row.updatedAt,
    job: readBody(jobBodySchema, 'job', row),
    events: readEvents.flatMap((e) => (e.ok ? [e.value] : [])),
    snags: readSnags.flatMap((s) => (s.ok ? [s.value] : [])),
    unreadable: [...readEvents, ...readSnags].filter((r) => !r.ok).length,
  };
}

/** Whose job it is, without reading all that happened on it. */
export const machineIdOf = async (store: Store, id: string): Promise<string> => (await rowOf(store, id)).machineId;

export const getJob = async (store: Store, id: string): Promise<StoredJob> => assemble(store, await rowOf(store, id));

/** All jobs of a machine with what happened on them, the oldest first. */
export async function jobsOf(store: Store, machineId: string): Promise<StoredJob[]> {
  const rows = await store.models.jobs.findAll({
    where: { machineId, deletedAt: null, importing: null },
    order: [['createdAt', 'ASC']],
  });
  const read = rows.filter((row) => readable(jobBodySchema, row.body).ok);
  return Promise.all(read.map((row) => assemble(store, row)));
}

/** Opens a job. Asked twice under one id for the same complaint it is opened once. */
export async function createJob(
  store: Store,
  machineId: string,
  job: JobBody,
  id: string = randomUUID(),
): Promise<StoredJob> {
  const made = await store.write(async (transaction) => {
    const known = await store.models.jobs.findByPk(id, { transaction });
    if (known) {
      if (known.deletedAt)
        throw new Problem(409, 'away', 'This job is here and was put away. Bring it back; nothing was changed.');
      const same = JSON.stringify((JSON.parse(known.body) as JobBody).complaint) === JSON.stringify(job.complaint);
      if (known.machineId === machineId && same) return assemble(store, known, transaction);
      throw new Problem(409, 'id-taken', 'A job with this id is here already and differs. Nothing was changed.');
    }
    const machine = await store.models.machines.findByPk(machineId, { transaction });
    if (!machine || machine.deletedAt || machine.importing) throw notFound('machine', machineId);
    const at = new Date().toISOString();
    const row = await store.models.jobs.create(
      { id, machineId, body: JSON.stringify(job), version: 1, deletedAt: null, createdAt: at, updatedAt: at },
      { transaction },
    );
    const carried = await markFound(store, machineId, transaction);
    if (carried) await keep(store, id, carried, transaction);
    return assemble(store, row, transaction);
  });
  store.changes.tell({ type: 'jobs' });
  return made;
}

/**
 * How its timing mark stands, as a stop in the plug hole told it last on any job: it is the machine's, so that a later
 * job's light is read by it from the start.
 */
async function markFound(store: Store, machineId: string, transaction: Transaction): Promise<JobEvent | undefined> {
  const jobs = await store.models.jobs.findAll({
    where: { machineId, deletedAt: null, importing: null },
    attributes: ['id'],
    transaction,
  });
  const where = { jobId: jobs.map((j) => j.id), type: 'sheet' };
  const rows = await store.models.events.findAll({ where, raw: true, transaction });
  const told = rows.flatMap((r) => {
    const read = readable(jobEventSchema, r.body);
    return read.ok && read.value.type === 'sheet' && read.value.sheet.body.kind === 'top' ? [read.value] : [];
  });
  return told.sort((a, b) => b.sheet.at.localeCompare(a.sheet.at))[0];
}
const keep = (store: Store, jobId: string, event: JobEvent, transaction: Transaction) =>
  store.models.events.create(
    { jobId, eventId: entryOf(event).id, type: event.type, body: JSON.stringify(event) },
    { transaction },
  );

/** What a write makes of a job: fields to change, nothing because it is all there already, or a note beside it. */
type Changed = { body?: string } | 'as it was' | 'beside it';

/** One change of a job: looks whether it is there already, checks the version, does the work, steps the version. */
async function change(
  store: Store,
  id: string,
  expected: number | undefined,
  work: (row: JobRow, t: Transaction, fresh: () => void) => Promise<Changed>,
): Promise<StoredJob> {
  const stored = await store.write(async (transaction) => {
    const row = await rowOf(store, id, transaction);
    const changed = await work(row, transaction, () => stale('this job', row.version, expected));
    if (typeof changed === 'object')
      await row.update({ ...changed, version: row.version + 1, updatedAt: new Date().toISOString() }, { transaction });
    return assemble(store, row, transaction);
  });
  store.changes.tell({ type: 'job', id, version: stored.version });
  return stored;
}

/** Lays changes over what is stored; what is not mentioned stays. What changes nothing is done already. */
export const updateJob = (
  store: Store,
  id: string,
  patch: (job: JobBody) => JobBody,
  expected: number | undefined,
): Promise<StoredJob> =>
  change(store, id, expected, async (row, _t, fresh) => {
    const before = readBody(jobBodySchema, 'job', row);
    const body = JSON.stringify(patch(before));
    if (body === JSON.stringify(before)) return 'as it was';
    fresh();
    return { body };
  });

const full = (held: string): Problem =>
  new Problem(409, 'full', `This job holds ${held}: no more can be added. Open another job; nothing was changed.`);

/** Throws where a job holds as much as a file of it may: what is taken in can be read back. */
async function roomFor(
  store: Store,
  jobId: string,
  table: 'job_events' | 'snags',
  most: number,
  transaction: Transaction,
): Promise<void> {
  const [held] = await store.sequelize.query<{ rows: number; bytes: number }>(
    `SELECT (SELECT count(*) FROM ${table} WHERE job_id = $jobId) AS rows,
      (SELECT coalesce(sum(length(CAST(body AS BLOB))), 0) FROM job_events WHERE job_id = $jobId) +
      (SELECT coalesce(sum(length(CAST(body AS BLOB))), 0) FROM snags WHERE job_id = $jobId) AS bytes`,
    { type: QueryTypes.SELECT, bind: { jobId }, transaction },
  );
  if (held!.rows >= most) throw full(`${most} ${table === 'snags' ? 'snags' : 'entries'}`);
  if (held!.bytes >= JOB_LIMITS.bytes) throw full(`${JOB_LIMITS.bytes / 1024 / 1024} MB`);
}

/** What was said, without when it arrived and from where: two answers to one entry differ in these alone. */
const said = (entry: object): string =>
  JSON.stringify(entry, (key, value: unknown) => (key === 'at' || key === 'by' ? undefined : value));

/** Adds an event. Sent twice with the same id it is kept once, and answered as the first time. */
export function addEvent(store: Store, id: string, event: JobEvent, expected: number | undefined): Promise<StoredJob> {
  const { id: eventId } = entryOf(event);
  return change(store, id, expected, async (_row, transaction, fresh) => {
    const known = await store.models.events.findOne({ where: { jobId: id, eventId }, transaction });
    if (known) {
      if (said(JSON.parse(known.body) as object) === said(event)) return 'as it was';
      throw new Problem(
        409,
        'id-taken',
        'An event with this id is already written down and differs. Events are never edited: send a new one.',
      );
    }
    // What was understood changes nothing that anybody else works on.
    const beside = event.type === 'care';
    if (!beside) fresh();
    if (event.type === 'reading' && event.reading.supersedes !== undefined) {
      const corrected = await store.models.events.findOne({
        where: { jobId: id, eventId: event.reading.supersedes, type: 'reading' },
        transaction,
      });
      if (!corrected) throw notFound('reading to correct', event.reading.supersedes);
    }
    await roomFor(store, id, 'job_events', JOB_LIMITS.events, transaction);
    await keep(store, id, event, transaction);
    return beside ? 'beside it' : {};
  });
}

/** Keeps a picture. Sent twice it is kept once; another picture under its id is refused. */
export const addPicture = (store: Store, id: string, picture: PictureRow): Promise<StoredJob> =>
  change(store, id, undefined, async (_row, transaction) => {
    const known = await store.models.pictures.findByPk(picture.id, { attributes: ['sha256', 'jobId'], transaction });
    if (known) {
      if (known.sha256 === picture.sha256 && known.jobId === id) return 'as it was';
      throw new Problem(409, 'id-taken', 'Another photo lies under this id. Nothing was changed.');
    }
    const held = await store.models.pictures.count({ where: { jobId: id }, transaction });
    if (held >= JOB_LIMITS.pictures) throw full(`${JOB_LIMITS.pictures} photos`);
    await store.models.pictures.create(picture, { transaction });
    return {};
  });

/** Writes a snag down, or changes one: what is not mentioned of it stays. */
export const putSnag = (
  store: Store,
  id: string,
  snagId: string,
  over: (known: object) => Snag,
  expected: number | undefined,
): Promise<StoredJob> =>
  change(store, id, expected, async (_row, transaction, fresh) => {
    const known = await store.models.snags.findByPk(snagId, { transaction });
    if (known && known.jobId !== id) throw notFound('snag', snagId);
    const snag = over(known ? (JSON.parse(known.body) as object) : {});
    if (known && said(JSON.parse(known.body) as object) === said(snag)) return 'as it was';
    fresh();
    if (!known) await roomFor(store, id, 'snags', JOB_LIMITS.snags, transaction);
    await store.models.snags.upsert({ id: snagId, jobId: id, body: JSON.stringify(snag) }, { transaction });
    return {};
  });

export async function setJobDeleted(store: Store, id: string, deleted: boolean): Promise<void> {
  await store.write(async (transaction) => {
    const row = await store.models.jobs.findByPk(id, { transaction });
    if (!row || row.importing) throw notFound('job', id);
    await row.update({ deletedAt: deleted ? new Date().toISOString() : null }, { transaction });
  });
  store.changes.tell({ type: 'jobs' });
}
