import { houseSchema, type House } from '@pondu/core/schema';
import { stale } from './versions.ts';
import type { Store } from './database.ts';

export interface StoredHouse {
  house: House;
  version: number;
}

export async function readHouse(store: Store): Promise<StoredHouse> {
  const row = await store.models.house.findByPk(1);
  return row
    ? { house: houseSchema.parse(JSON.parse(row.body)), version: row.version }
    : { house: houseSchema.parse({}), version: 0 };
}

export function writeHouse(store: Store, house: House, expected: number | undefined): Promise<StoredHouse> {
  return store.write(async (transaction) => {
    const row = await store.models.house.findByPk(1, { transaction });
    const version = row?.version ?? 0;
    stale('the shop’s rules', version, expected);
    await store.models.house.upsert({ id: 1, body: JSON.stringify(house), version: version + 1 }, { transaction });
    return { house, version: version + 1 };
  });
}
