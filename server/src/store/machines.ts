import type { StoredMachine } from '@pondu/core';
import { randomUUID } from 'node:crypto';
import { storedMachineSchema, type By, type MachineBody } from '@pondu/core/schema';
import type { Transaction } from 'sequelize';
import { notFound, Problem } from '../http/problem.ts';
import type { Store } from './database.ts';
import { note } from './journal.ts';
import type { MachineRow } from './models.ts';
import { readBody } from './unreadable.ts';
import { stale } from './versions.ts';

const read = (row: MachineRow): StoredMachine => ({
  id: row.id,
  version: row.version,
  updatedAt: row.updatedAt,
  awayAt: row.deletedAt,
  machine: readBody(storedMachineSchema, 'machine', row),
});

async function rowOf(store: Store, id: string, transaction?: Transaction) {
  const row = await store.models.machines.findByPk(id, transaction ? { transaction } : {});
  if (!row || row.importing) throw notFound('machine', id);
  return row;
}

export const getMachine = async (store: Store, id: string): Promise<StoredMachine> => read(await rowOf(store, id));

async function insertMachine(store: Store, machine: MachineBody, transaction: Transaction, id: string) {
  const at = new Date().toISOString();
  const row = { id, body: JSON.stringify(machine), version: 1, deletedAt: null, createdAt: at, updatedAt: at };
  await store.models.machines.create(row, { transaction });
  return read(row);
}

/** Made twice under one id with the same figures it is made once: a lost answer may be asked for again. */
export async function createMachine(
  store: Store,
  machine: MachineBody,
  id: string = randomUUID(),
): Promise<StoredMachine> {
  const made = await store.write(async (transaction) => {
    const known = await store.models.machines.findByPk(id, { transaction });
    if (!known) return insertMachine(store, machine, transaction, id);
    if (known.body === JSON.stringify(machine)) return read(known);
    throw new Problem(409, 'id-taken', 'A machine with this id is here already and differs. Nothing was changed.');
  });
  store.changes.tell({ type: 'machines' });
  return made;
}

export async function updateMachine(
  store: Store,
  id: string,
  machine: MachineBody,
  expected: number | undefined,
  by: By | undefined,
): Promise<StoredMachine> {
  const written = await store.write(async (transaction) => {
    const row = await rowOf(store, id, transaction);
    if (row.deletedAt)
      throw new Problem(409, 'away', 'This machine is put away. Bring it back to change it; what you typed is kept.');
    const body = JSON.stringify(machine);
    if (body === row.body) return read(row);
    stale('this machine', row.version, expected);
    await note(store, { what: 'machine', ref: id, before: row.body, after: body }, by, transaction);
    await row.update({ body, version: row.version + 1, updatedAt: new Date().toISOString() }, { transaction });
    return read(row);
  });
  store.changes.tell({ type: 'machine', id });
  return written;
}

/** Machines put away stay in the file, with their jobs, and can be brought back. */
export async function setMachineDeleted(store: Store, id: string, deleted: boolean): Promise<void> {
  await store.write(async (transaction) => {
    const row = await rowOf(store, id, transaction);
    await row.update({ deletedAt: deleted ? new Date().toISOString() : null }, { transaction });
  });
  store.changes.tell({ type: 'machines' });
  store.changes.tell({ type: 'machine', id });
}
