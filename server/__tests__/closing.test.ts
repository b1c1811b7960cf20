import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { openStore } from '../src/store/database.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'pondu-closing-'));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

it('the data file is closed once whoever reads a view of it has come to an end', async () => {
  const store = await openStore(join(folder, 'shop.sqlite'));
  const order: string[] = [];
  const read = store.snapshot(async (transaction) => {
    await setTimeout(100);
    const [rows] = await store.sequelize.query('SELECT count(*) AS n FROM jobs', { transaction });
    order.push(`read ${rows.length}`);
  });
  // It has begun before it is closed.
  await setTimeout(30);
  await store.close().then(() => order.push('closed'));
  await read;
  expect(order).toEqual(['read 1', 'closed']);
});
