import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { openStore } from '../src/store/database.ts';
import { migrate, MIGRATIONS } from '../src/store/migrations/index.ts';
import { complaint, machineBody } from './start.ts';

let folder: string;
let file: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'pondu-migrations-'));
  file = join(folder, 'shop.sqlite');
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const opened = () => new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
const AT = '2026-01-01T00:00:00Z';
const event = JSON.stringify({
  type: 'reading',
  reading: { id: 'r', checkId: 'battery-rest', value: { kind: 'number', value: 12 }, note: 'rusty clamp', at: AT },
});

/** A shop as it was written before photos and benches, with one job and one reading. */
async function earlier(): Promise<Sequelize> {
  const sequelize = opened();
  await migrate(sequelize, MIGRATIONS.slice(0, 2));
  const row = {
    at: AT,
    machine: JSON.stringify(machineBody),
    job: JSON.stringify({ complaint, stage: 'trace', openedAt: AT }),
    event,
  };
  const put = (sql: string) => sequelize.query(sql, { replacements: row });
  await put(`INSERT INTO machines (id, body, created_at, updated_at) VALUES ('m', :machine, :at, :at)`);
  await put(`INSERT INTO jobs (id, machine_id, body, created_at, updated_at) VALUES ('j', 'm', :job, :at, :at)`);
  await put(`INSERT INTO job_events (job_id, event_id, type, body) VALUES ('j', 'r', 'reading', :event)`);
  return sequelize;
}
const events = async (sequelize: Sequelize) =>
  ((await sequelize.query('SELECT event_id FROM job_events ORDER BY seq'))[0] as { event_id: string }[]).map(
    (e) => e.event_id,
  );

describe('data of an earlier version', () => {
  it('keeps its events, takes the new sorts, and finds the words of old and new', async () => {
    await (await earlier()).close();
    const store = await openStore(file);
    expect(await events(store.sequelize)).toEqual(['r']);
    const photo = JSON.stringify({ type: 'photo', photo: { id: 'p', picture: 'x', words: 'cap off', at: AT } });
    await store.models.events.create({ jobId: 'j', eventId: 'p', type: 'photo', body: photo });
    const found = async (word: string) =>
      (
        await store.sequelize.query(
          `SELECT ref FROM search_docs WHERE id IN (SELECT rowid FROM search WHERE search MATCH '${word}')`,
        )
      )[0];
    const aside = JSON.stringify({
      type: 'aside',
      aside: { id: 'a', checkId: 'look-cap', note: 'behind the dash', at: AT },
    });
    await store.models.events.create({ jobId: 'j', eventId: 'a', type: 'aside', body: aside });
    expect(await found('rusty')).toEqual([{ ref: 'j/r' }]);
    expect(await found('cap')).toEqual([{ ref: 'j/p' }]);
    expect(await found('dash')).toEqual([{ ref: 'j/a' }]);
    await expect(store.models.events.create({ jobId: 'j', eventId: 'q', type: 'soup', body: '{}' })).rejects.toThrow();
    await store.close();
  });
  it('a step that fails leaves everything as it was, and can be done again', async () => {
    const sequelize = await earlier();
    const third = MIGRATIONS[2]!;
    const broken = { name: third.name, up: [...third.up, 'SELECT no_such_function()'] };
    await expect(migrate(sequelize, [...MIGRATIONS.slice(0, 2), broken])).rejects.toThrow(/no_such_function/);
    expect(await events(sequelize)).toEqual(['r']);
    await migrate(sequelize);
    expect(await events(sequelize)).toEqual(['r']);
    await sequelize.close();
  });
});
