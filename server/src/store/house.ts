import type { StoredHouse } from '@pondu/core';
import { houseSchema, type By, type House } from '@pondu/core/schema';
import { stale } from './versions.ts';
import type { Store } from './database.ts';
import { note } from './journal.ts';

export async function readHouse(store: Store): Promise<StoredHouse> {
  const row = await store.models.house.findByPk(1);
  return row
    ? { house: houseSchema.parse(JSON.parse(row.body)), version: row.version }
    : { house: houseSchema.parse({}), version: 0 };
}

export async function writeHouse(
  store: Store,
  house: House,
  expected: number | undefined,
  by: By | undefined,
): Promise<StoredHouse> {
  const written = await store.write(async (transaction) => {
    const row = await store.models.house.findByPk(1, { transaction });
    const version = row?.version ?? 0;
    const body = JSON.stringify(house);
    if (row?.body === body) return { house, version };
    stale('the shop’s rules', version, expected);
    await store.models.house.upsert({ id: 1, body, version: version + 1 }, { transaction });
    await note(store, { what: 'house', ref: '', before: row?.body ?? null, after: body }, by, transaction);
    return { house, version: version + 1 };
  });
  store.changes.tell({ type: 'house' });
  return written;
}
