import {
  FILE_FORMAT,
  FILE_VERSION,
  jobBodySchema,
  jobEventSchema,
  storedMachineSchema,
  snagSchema,
} from '@pondu/core/schema';
import { Op, type Transaction } from 'sequelize';
import type { Store } from '../store/database.ts';
import { getMachine } from '../store/machines.ts';
import { readHouse } from '../store/house.ts';
import { readable } from '../store/unreadable.ts';

/** So many machines are looked up at a time. */
const SLICE = 20;

/** Bodies are kept as JSON: an id is put in front, more behind, and nothing is parsed twice. */
const within = (body: string, before: object, after = ''): string => {
  const inner = body.trim().slice(1, -1);
  return `{${JSON.stringify(before).slice(1, -1)}${inner ? `,${inner}` : ''}${after}}`;
};

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
    order: [['updatedAt', 'DESC']],
    ...options,
  });
  let first = true;
  for (const { id, body } of jobs) {
    if (!readable(jobBodySchema, body).ok) {
      lost.push({ table: 'jobs', id, body });
      continue;
    }
    const events = await store.models.events.findAll({ where: { jobId: id }, order: [['seq', 'ASC']], ...options });
    const snags = await store.models.snags.findAll({ where: { jobId: id }, ...options });
    const good = <Row extends { body: string }>(
      rows: readonly Row[],
      schema: typeof jobEventSchema | typeof snagSchema,
      table: string,
      idOf: (row: Row) => string,
    ): string => {
      const kept = rows.filter((row) => {
        const { ok } = readable(schema, row.body);
        if (!ok) lost.push({ table, id: idOf(row), body: row.body });
        return ok;
      });
      return kept.map((row) => row.body).join(',');
    };
    const told = good(events, jobEventSchema, 'job_events', (e) => `${id}/${e.eventId}`);
    const noticed = good(snags, snagSchema, 'snags', (s) => s.id);
    const seen = photos ? await picturesOf(store, id, transaction) : '';
    yield `${first ? '' : ','}${within(body, { id }, `,"events":[${told}],"snags":[${noticed}]${seen}`)}`;
    first = false;
  }
}

/** A job's pictures as the file has them, or nothing. */
async function picturesOf(store: Store, jobId: string, transaction: Transaction): Promise<string> {
  const rows = await store.models.pictures.findAll({
    where: { jobId },
    order: [['at', 'ASC']],
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
