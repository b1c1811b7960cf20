import { randomUUID } from 'node:crypto';
import { machineBodySchema, type MachineBody } from '@pondu/core/schema';
import type { Transaction } from 'sequelize';
import { notFound } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { MachineRow } from './models.ts';
import { stale } from './versions.ts';

export interface StoredMachine {
  id: string;
  version: number;
  updatedAt: string;
  machine: MachineBody;
}

const read = (row: MachineRow): StoredMachine => ({
  id: row.id,
  version: row.version,
  updatedAt: row.updatedAt,
  machine: machineBodySchema.parse(JSON.parse(row.body)),
});

async function rowOf(store: Store, id: string, transaction?: Transaction) {
  const row = await store.models.machines.findByPk(id, transaction ? { transaction } : {});
  if (!row || row.deletedAt) throw notFound('machine', id);
  return row;
}

export async function listMachines(store: Store): Promise<StoredMachine[]> {
  const rows = await store.models.machines.findAll({ where: { deletedAt: null } });
  return rows.map(read).sort((a, b) => a.machine.name.localeCompare(b.machine.name));
}

export const getMachine = async (store: Store, id: string): Promise<StoredMachine> => read(await rowOf(store, id));

export async function insertMachine(
  store: Store,
  machine: MachineBody,
  transaction: Transaction,
  id: string = randomUUID(),
) {
  const at = new Date().toISOString();
  const row = { id, body: JSON.stringify(machine), version: 1, deletedAt: null, createdAt: at, updatedAt: at };
  await store.models.machines.create(row, { transaction });
  return read(row);
}

export const createMachine = (store: Store, machine: MachineBody): Promise<StoredMachine> =>
  store.write((transaction) => insertMachine(store, machine, transaction));

export function updateMachine(
  store: Store,
  id: string,
  machine: MachineBody,
  expected: number | undefined,
): Promise<StoredMachine> {
  return store.write(async (transaction) => {
    const row = await rowOf(store, id, transaction);
    stale('this machine', row.version, expected);
    await row.update(
      { body: JSON.stringify(machine), version: row.version + 1, updatedAt: new Date().toISOString() },
      { transaction },
    );
    return read(row);
  });
}

/** Deleted machines stay in the file, with their jobs, and can be brought back. */
export function setMachineDeleted(store: Store, id: string, deleted: boolean): Promise<void> {
  return store.write(async (transaction) => {
    const row = await store.models.machines.findByPk(id, { transaction });
    if (!row) throw notFound('machine', id);
    await row.update({ deletedAt: deleted ? new Date().toISOString() : null }, { transaction });
  });
}
