import {
  FILE_FORMAT,
  FILE_VERSION,
  jobBodySchema,
  jobEventSchema,
  storedMachineSchema,
  snagSchema,
} from '@pondu/core/schema';
import { Op, type Transaction } from 'sequelize';
import type { z } from 'zod';
import type { Store } from '../store/database.ts';
import { getMachine } from '../store/machines.ts';
import { readHouse } from '../store/house.ts';
import { readable } from '../store/unreadable.ts';

/** So many machines are looked up at a time. */
const SLICE = 20;

/** An object as JSON with more behind it, which is JSON already. */
const within = (value: object, after: string): string => `${JSON.stringify(value).slice(0, -1)}${after}}`;

interface Unreadable {
  table: string;
  id: string;
  body: string;
}

/**
 * A `.pondu.json` in pieces: one machine (put away or not) or the whole shop, at any size, as the data stood when it
 * began. What cannot be read as it is stored goes along as it is, under `unreadable`, which an import leaves alone.
 */
export async function* exportFile(
  store: Store,
  transaction: Transaction,
  { machineId, photos = false }: { machineId?: string | undefined; photos?: boolean } = {},
): AsyncGenerator<string> {
  const lost: Unreadable[] = [];
  yield `{"format":${JSON.stringify(FILE_FORMAT)},"version":${FILE_VERSION},"machines":[`;
  let after = '';
  let first = true;
  for (;;) {
    const machines = await store.models.machines.findAll({
      where: {
        importing: null,
        ...(machineId === undefined ? { deletedAt: null, id: { [Op.gt]: after } } : { id: machineId }),
      },
      order: [['id', 'ASC']],
      limit: SLICE,
      raw: true,
      transaction,
    });
    for (const { id, body } of machines) {
      const read = readable(storedMachineSchema, body);
      if (!read.ok) {
        lost.push({ table: 'machines', id, body });
        continue;
      }
      yield `${first ? '' : ','}{"id":${JSON.stringify(id)},"machine":${JSON.stringify(read.value)},"jobs":[`;
      first = false;
      yield* jobsOf(store, id, transaction, lost, photos);
      yield ']}';
    }
    if (machines.length < SLICE || machineId !== undefined) break;
    after = machines[machines.length - 1]!.id;
  }
  yield ']';
  if (machineId === undefined) yield `,"house":${JSON.stringify((await readHouse(store)).house)}`;
  yield lost.length ? `,"unreadable":${JSON.stringify(lost)}}` : '}';
}

async function* jobsOf(
  store: Store,
  machineId: string,
  transaction: Transaction,
  lost: Unreadable[],
  photos: boolean,
): AsyncGenerator<string> {
  const options = { raw: true, transaction } as const;
  const jobs = await store.models.jobs.findAll({
    where: { machineId, deletedAt: null, importing: null },
    order: [['id', 'ASC']],
    ...options,
  });
  let first = true;
  for (const { id, body } of jobs) {
    const job = readable(jobBodySchema, body);
    if (!job.ok) {
      lost.push({ table: 'jobs', id, body });
      continue;
    }
    const events = await store.models.events.findAll({ where: { jobId: id }, order: [['seq', 'ASC']], ...options });
    const snags = await store.models.snags.findAll({ where: { jobId: id }, order: [['id', 'ASC']], ...options });
    const good = <Row extends { body: string }>(
      rows: readonly Row[],
      schema: typeof jobEventSchema | typeof snagSchema,
      table: string,
      idOf: (row: Row) => string,
    ): string => {
      // As they read now, not as an earlier version wrote them: read in again, they are the same.
      const kept = rows.flatMap((row) => {
        const read = readable(schema as z.ZodType, row.body);
        if (!read.ok) lost.push({ table, id: idOf(row), body: row.body });
        return read.ok ? [JSON.stringify(read.value)] : [];
      });
      return kept.join(',');
    };
    const told = good(events, jobEventSchema, 'job_events', (e) => `${id}/${e.eventId}`);
    const noticed = good(snags, snagSchema, 'snags', (s) => s.id);
    const seen = photos ? await picturesOf(store, id, transaction) : '';
    yield `${first ? '' : ','}${within({ id, ...job.value }, `,"events":[${told}],"snags":[${noticed}]${seen}`)}`;
    first = false;
  }
}

/** A job's pictures as the file has them, or nothing. */
async function picturesOf(store: Store, jobId: string, transaction: Transaction): Promise<string> {
  const rows = await store.models.pictures.findAll({
    where: { jobId },
    order: [['id', 'ASC']],
    raw: true,
    transaction,
  });
  if (rows.length === 0) return '';
  const told = rows.map(({ id, type, sha256, bytes }) =>
    JSON.stringify({ id, type, sha256, base64: bytes.toString('base64') }),
  );
  return `,"pictures":[${told.join(',')}]`;
}

/** Throws where there is no such machine, before anything is sent. */
export const exportable = async (store: Store, machineId: string): Promise<void> =>
  void (await getMachine(store, machineId));
