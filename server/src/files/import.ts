import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import type { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { PhotoType } from '@pondu/core/schema';
import { invalid, Problem } from '../http/problem.ts';
import { pictureRow } from '../store/pictures.ts';
import type { Store } from '../store/database.ts';
import type { MachineLine, ReadImport, RowLine, Spool } from './spool.ts';

export interface Imported {
  machines: number;
  jobs: number;
  /** Names of machines that were here already; they and their jobs were left as they are. */
  skipped: string[];
}
/** Reads and checks the file, away from the thread that answers. */
export type Reader = (path: string, spool: Spool) => Promise<ReadImport>;

/** So many rows are written at once; whoever else writes gets in between. */
const SLICE = 400;

/** All or nothing, at any size. What is here already is never overwritten; until all of it is in, nothing shows. */
export async function importStream(store: Store, read: Reader, from: Readable): Promise<Imported> {
  const folder = await mkdtemp(join(tmpdir(), 'pondu-import-'));
  try {
    const upload = join(folder, 'upload.json');
    await pipeline(from, createWriteStream(upload));
    return await importFile(store, read, upload, folder);
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}

export async function importFile(store: Store, read: Reader, path: string, folder: string): Promise<Imported> {
  const spool: Spool = { machines: join(folder, 'machines.ndjson'), rows: join(folder, 'rows.ndjson') };
  const found = await read(path, spool);
  if (!found.ok) throw refusal(found);
  const tag = randomUUID();
  try {
    const done = await stage(store, spool, tag);
    await store.write(async (transaction) => {
      const shown = { where: { importing: tag }, transaction };
      await store.models.machines.update({ importing: null }, shown);
      await store.models.jobs.update({ importing: null }, shown);
      if (found.house !== null && !(await store.models.house.findByPk(1, { transaction })))
        await store.models.house.create({ id: 1, body: found.house, version: 1 }, { transaction });
    });
    store.changes.tell({ type: 'machines' });
    store.changes.tell({ type: 'jobs' });
    store.changes.tell({ type: 'house' });
    return done;
  } catch (error) {
    await clearImports(store, tag);
    throw error;
  }
}

function refusal({ code, fields, count, more }: Extract<ReadImport, { ok: false }>): Problem {
  if (code === 'not-json')
    return new Problem(400, 'not-json', `${fields[0]!.message} Nothing was changed.`, { fields });
  const { facts, message } = invalid(fields, count);
  return new Problem(422, 'invalid', message, { ...facts, more });
}

async function* lines<Line>(path: string): AsyncGenerator<Line> {
  for await (const line of createInterface({ input: createReadStream(path), crlfDelay: Infinity }))
    if (line) yield JSON.parse(line) as Line;
}
async function* slices<T>(all: AsyncIterable<T>): AsyncGenerator<T[]> {
  let slice: T[] = [];
  for await (const each of all) {
    slice.push(each);
    if (slice.length < SLICE) continue;
    yield slice;
    slice = [];
  }
  if (slice.length) yield slice;
}

/** Writes the rows in slices, hidden under the import's tag. */
async function stage(store: Store, spool: Spool, tag: string): Promise<Imported> {
  const done: Imported = { machines: 0, jobs: 0, skipped: [] };
  const at = new Date().toISOString();
  const stamp = { version: 1, deletedAt: null, createdAt: at, updatedAt: at, importing: tag };
  /** Id of each machine by its place in the file; those that are here already have none. */
  const taken: (string | undefined)[] = [];
  for await (const slice of slices(lines<MachineLine>(spool.machines))) {
    await store.write(async (transaction) => {
      const ids = slice.map(([id]) => id);
      const here = await store.models.machines.findAll({ where: { id: ids }, attributes: ['id'], transaction });
      const known = new Set(here.map((m) => m.id));
      const fresh = slice.filter(([id]) => !known.has(id));
      await store.models.machines.bulkCreate(
        fresh.map(([id, , body]) => ({ ...stamp, id, body })),
        { transaction },
      );
      for (const [id, name] of slice) {
        if (known.has(id)) done.skipped.push(name);
        taken.push(known.has(id) ? undefined : id);
      }
      done.machines += fresh.length;
    });
  }
  const jobs = new Set<string>();
  for await (const slice of slices(lines<RowLine>(spool.rows))) {
    const fresh = slice.flatMap((row) => {
      if (row[0] !== 'job') return [];
      const [, machine, id, body] = row;
      const machineId = taken[machine];
      if (machineId === undefined) return [];
      jobs.add(id);
      return [{ ...stamp, id, machineId, body }];
    });
    const events = slice.flatMap((row) =>
      row[0] === 'event' && jobs.has(row[1]) ? [{ jobId: row[1], eventId: row[2], type: row[3], body: row[4] }] : [],
    );
    const snags = slice.flatMap((row) =>
      row[0] === 'snag' && jobs.has(row[1]) ? [{ jobId: row[1], id: row[2], body: row[3] }] : [],
    );
    const pictures = slice.flatMap((row) =>
      row[0] === 'picture' && jobs.has(row[1])
        ? [pictureRow(row[1], row[2], { type: row[3] as PhotoType, bytes: Buffer.from(row[4], 'base64') })]
        : [],
    );
    await store.write(async (transaction) => {
      await store.models.jobs.bulkCreate(fresh, { transaction });
      await store.models.events.bulkCreate(events, { transaction });
      await store.models.snags.bulkCreate(snags, { transaction });
      await store.models.pictures.bulkCreate(pictures, { transaction });
    });
    done.jobs += fresh.length;
  }
  return done;
}

/** Takes out what an import that failed, or a server that died in it, has left; in slices too. */
export async function clearImports(store: Store, tag?: string): Promise<void> {
  const which = tag === undefined ? 'importing IS NOT NULL' : 'importing = $tag';
  const options = tag === undefined ? {} : { bind: { tag } };
  const jobs = `SELECT id FROM jobs WHERE ${which} LIMIT 50`;
  const any = async (table: string) => {
    const [[row]] = (await store.sequelize.query(
      `SELECT count(*) AS n FROM ${table} WHERE ${which}`,
      options,
    )) as unknown as [{ n: number }[]];
    return (row?.n ?? 0) > 0;
  };
  while (await any('jobs'))
    await store.write(async (transaction) => {
      for (const table of ['job_events', 'snags', 'summaries', 'pictures'])
        await store.sequelize.query(`DELETE FROM ${table} WHERE job_id IN (${jobs})`, { ...options, transaction });
      await store.sequelize.query(`DELETE FROM jobs WHERE id IN (${jobs})`, { ...options, transaction });
    });
  if (await any('machines'))
    await store.write((transaction) =>
      store.sequelize.query(`DELETE FROM machines WHERE ${which}`, { ...options, transaction }),
    );
}
