import { randomUUID } from 'node:crypto';
import { jobBodySchema, jobEventSchema, snagSchema, type JobBody, type JobEvent, type Snag } from '@pondu/core/schema';
import type { Transaction } from 'sequelize';
import { notFound, Problem } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { JobRow } from './models.ts';
import { stale } from './versions.ts';

export interface StoredJob {
  id: string;
  machineId: string;
  version: number;
  updatedAt: string;
  job: JobBody;
  events: JobEvent[];
  snags: Snag[];
}

async function rowOf(store: Store, id: string, transaction?: Transaction) {
  const row = await store.models.jobs.findByPk(id, transaction ? { transaction } : {});
  if (!row || row.deletedAt) throw notFound('job', id);
  return row;
}

async function assemble(store: Store, row: JobRow, transaction?: Transaction): Promise<StoredJob> {
  const options = { where: { jobId: row.id }, ...(transaction ? { transaction } : {}) };
  const [events, snags] = await Promise.all([
    store.models.events.findAll({ ...options, order: [['seq', 'ASC']] }),
    store.models.snags.findAll(options),
  ]);
  return {
    id: row.id,
    machineId: row.machineId,
    version: row.version,
    updatedAt: row.updatedAt,
    job: jobBodySchema.parse(JSON.parse(row.body)),
    events: events.map((e) => jobEventSchema.parse(JSON.parse(e.body))),
    snags: snags.map((s) => snagSchema.parse(JSON.parse(s.body))),
  };
}

export async function listJobs(store: Store): Promise<StoredJob[]> {
  const rows = await store.models.jobs.findAll({ where: { deletedAt: null }, order: [['updatedAt', 'DESC']] });
  return Promise.all(rows.map((row) => assemble(store, row)));
}

export const getJob = async (store: Store, id: string): Promise<StoredJob> => assemble(store, await rowOf(store, id));

export async function insertJob(
  store: Store,
  machineId: string,
  job: JobBody,
  transaction: Transaction,
  id: string = randomUUID(),
) {
  const machine = await store.models.machines.findByPk(machineId, { transaction });
  if (!machine || machine.deletedAt) throw notFound('machine', machineId);
  const at = new Date().toISOString();
  return store.models.jobs.create(
    { id, machineId, body: JSON.stringify(job), version: 1, deletedAt: null, createdAt: at, updatedAt: at },
    { transaction },
  );
}

export const createJob = (store: Store, machineId: string, job: JobBody): Promise<StoredJob> =>
  store.write(async (transaction) => assemble(store, await insertJob(store, machineId, job, transaction), transaction));

/** One change of a job: checks the version, does the work, steps the version. */
function change(
  store: Store,
  id: string,
  expected: number | undefined,
  work: (row: JobRow, t: Transaction) => Promise<Partial<JobRow>>,
): Promise<StoredJob> {
  return store.write(async (transaction) => {
    const row = await rowOf(store, id, transaction);
    stale('this job', row.version, expected);
    const changed = await work(row, transaction);
    await row.update({ ...changed, version: row.version + 1, updatedAt: new Date().toISOString() }, { transaction });
    return assemble(store, row, transaction);
  });
}

export const updateJob = (
  store: Store,
  id: string,
  patch: Partial<JobBody>,
  expected: number | undefined,
): Promise<StoredJob> =>
  change(store, id, expected, async (row) => ({
    body: JSON.stringify(jobBodySchema.parse({ ...(JSON.parse(row.body) as object), ...patch })),
  }));

const idOf = (event: JobEvent): string => {
  switch (event.type) {
    case 'reading':
      return event.reading.id;
    case 'fix':
      return event.fix.id;
    case 'cause':
      return event.cause.id;
    case 'setting':
      return event.setting.id;
  }
};

export async function insertEvent(
  store: Store,
  jobId: string,
  event: JobEvent,
  transaction: Transaction,
): Promise<void> {
  const row = { jobId, eventId: idOf(event), type: event.type, body: JSON.stringify(event) };
  await store.models.events.create(row, { transaction });
}

/** Adds an event. Sent twice with the same id it is kept once: a lost answer may safely be asked for again. */
export async function addEvent(
  store: Store,
  id: string,
  event: JobEvent,
  expected: number | undefined,
  patch: Partial<JobBody> = {},
): Promise<StoredJob> {
  const known = await store.models.events.findOne({ where: { jobId: id, eventId: idOf(event) } });
  if (known) {
    if (known.body !== JSON.stringify(event))
      throw new Problem(
        409,
        'id-taken',
        'An event with this id is already written down and differs. Events are never edited: send a new one.',
      );
    return getJob(store, id);
  }
  return change(store, id, expected, async (row, transaction) => {
    if (event.type === 'reading' && event.reading.supersedes !== undefined) {
      const corrected = await store.models.events.findOne({
        where: { jobId: id, eventId: event.reading.supersedes, type: 'reading' },
        transaction,
      });
      if (!corrected) throw notFound('reading to correct', event.reading.supersedes);
    }
    await insertEvent(store, id, event, transaction);
    return { body: JSON.stringify({ ...(JSON.parse(row.body) as object), ...patch }) };
  });
}

export const insertSnag = async (store: Store, jobId: string, snag: Snag, transaction: Transaction): Promise<void> =>
  void (await store.models.snags.create({ id: snag.id, jobId, body: JSON.stringify(snag) }, { transaction }));

export const putSnag = (store: Store, id: string, snag: Snag, expected: number | undefined): Promise<StoredJob> =>
  change(store, id, expected, async (_row, transaction) => {
    const known = await store.models.snags.findByPk(snag.id, { transaction });
    if (known && known.jobId !== id) throw notFound('snag', snag.id);
    await store.models.snags.upsert({ id: snag.id, jobId: id, body: JSON.stringify(snag) }, { transaction });
    return {};
  });

export function setJobDeleted(store: Store, id: string, deleted: boolean): Promise<void> {
  return store.write(async (transaction) => {
    const row = await store.models.jobs.findByPk(id, { transaction });
    if (!row) throw notFound('job', id);
    await row.update({ deletedAt: deleted ? new Date().toISOString() : null }, { transaction });
  });
}
