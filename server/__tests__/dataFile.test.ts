import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { chmod, mkdir, mkdtemp, readdir, readFile, rm, truncate, writeFile } from 'node:fs/promises';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { Backups, copyNamed, toThin, wrongWith } from '../src/store/backups.ts';
import { connect } from '../src/store/connection.ts';
import { openStore } from '../src/store/database.ts';
import { Unusable } from '../src/store/dataFile.ts';
import { migrate, MIGRATIONS } from '../src/store/migrations/index.ts';
import { heldIn, restore } from '../src/store/restoring.ts';
import { machineBody, newJob, newMachine, problemIn, start } from './start.ts';

let folder: string;
let file: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'pondu-data-'));
  file = join(folder, 'shop.sqlite');
});
afterEach(() => rm(folder, { recursive: true, force: true }));

const why = async (): Promise<string> => {
  const error: unknown = await openStore(file).catch((e: unknown) => e);
  expect(error).toBeInstanceOf(Unusable);
  return (error as Unusable).message;
};
/** A shop with one machine, closed again. */
async function shop(name = 'Barge'): Promise<void> {
  const store = await openStore(file);
  const at = '2026-01-01T00:00:00Z';
  const body = JSON.stringify({ ...machineBody, name });
  const row = { id: 'm', body, version: 1, deletedAt: null, createdAt: at, updatedAt: at };
  await store.models.machines.create(row);
  await store.close();
}
const nameIn = async (of: string): Promise<string> => {
  const own = await connect(of);
  const [row] = await own.all<{ body: string }>('SELECT body FROM machines');
  await own.close();
  return (JSON.parse(row!.body) as { name: string }).name;
};

describe('a data file that cannot be opened', () => {
  it('is told apart: something else, half, empty, a folder, held by another', async () => {
    await writeFile(file, 'once upon a time');
    expect(await why()).toMatch(/is no data file of Pondu.*npm run restore/);
    expect(await readFile(file, 'utf8')).toBe('once upon a time');

    await rm(file);
    await shop();
    await truncate(file, 9000);
    expect(await why()).toMatch(/is damaged.*npm run restore/);

    await rm(file);
    await mkdir(file);
    expect(await why()).toMatch(/is a folder/);

    await rm(file, { recursive: true });
    await writeFile(file, '');
    await (await openStore(file)).close();

    const first = await openStore(file);
    expect(await why()).toMatch(/is being served by another Pondu/);
    await first.close();
    await (await openStore(file)).close();
  });
  it('or damaged in the middle', async () => {
    await shop();
    const bytes = await readFile(file);
    bytes.fill(0x5a, 100, 4096);
    await writeFile(file, bytes);
    expect(await why()).toMatch(/is damaged/);
  });
  it.skipIf(process.getuid?.() === 0)('or not to be written to', async () => {
    await shop();
    await chmod(file, 0o400);
    expect(await why()).toMatch(/may not be written to/);
  });
});

describe('the server itself', () => {
  const main = join(import.meta.dirname, '../src/main.ts');
  const run = async (env: Record<string, string>) => {
    const child = spawn(process.execPath, ['--import', 'tsx', main], { env: { ...process.env, ...env } });
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
    const [code] = (await once(child, 'exit')) as [number];
    return { code, said };
  };
  it('says in one line what is wrong with the file, or with the port, and goes', async () => {
    await writeFile(file, 'once upon a time');
    const garbage = await run({ PONDU_DATA: file, PORT: '0' });
    expect(garbage.code).toBe(1);
    expect(garbage.said.trim().split('\n')).toHaveLength(1);
    expect(garbage.said).toContain(file);

    const other = createServer().listen(0, '127.0.0.1');
    await once(other, 'listening');
    const { port } = other.address() as AddressInfo;
    const taken = await run({ PONDU_DATA: join(folder, 'other.sqlite'), PORT: String(port) });
    other.close();
    expect(taken.code).toBe(1);
    expect(taken.said.trim()).toMatch(new RegExp(`^Port ${port} .* is taken by another program.*PORT\\.$`));
  });
});

describe('a full disk', () => {
  it('is 507 and says so; nothing is changed, and it goes on once there is room', async () => {
    const s = await start();
    const job = await newJob(s);
    const [[{ page_count: pages }]] = (await s.store.sequelize.query('PRAGMA page_count')) as unknown as [
      [{ page_count: number }],
    ];
    const { write } = s.store;
    // Each transaction has a connection of its own: the limit is told to it as it begins.
    const full: typeof write = (work) =>
      write(async (transaction) => {
        await s.store.sequelize.query(`PRAGMA max_page_count=${pages}`, { transaction });
        return work(transaction);
      });
    Object.assign(s.store, { write: full });
    const sent = { checkId: 'battery-rest', value: { kind: 'number', value: 12.4 }, note: 'x'.repeat(400) };
    let got = await s.api.post(`/api/jobs/${job}/readings`).send(sent);
    for (let n = 0; n < 60 && got.status === 201; n++) got = await s.api.post(`/api/jobs/${job}/readings`).send(sent);
    expect(problemIn(got).body).toMatchObject({ status: 507, type: 'urn:pondu:disk-full' });
    Object.assign(s.store, { write });
    await s.api.post(`/api/jobs/${job}/readings`).send(sent).expect(201);
    await s.stop();
  });
});

describe('backups', () => {
  const DAY = Date.parse('2026-11-30T08:00:00Z');
  it('are one a day, sound, and hold what was written', async () => {
    await shop();
    const backups = new Backups(file);
    await backups.daily(DAY);
    await backups.daily(DAY + 1000);
    expect((await backups.list()).map((b) => b.name)).toEqual(['shop-2026-11-30.sqlite']);
    const made = join(backups.folder, 'shop-2026-11-30.sqlite');
    expect(await wrongWith(made)).toBeUndefined();
    expect(await nameIn(made)).toBe('Barge');
  });
  it('of a damaged file are none: the sound ones stay, and why is told', async () => {
    await shop();
    const backups = new Backups(file);
    await backups.daily(DAY - 86_400_000);
    const bytes = await readFile(file);
    bytes.fill(0x5a, 4096 * 3, 4096 * 6);
    await writeFile(file, bytes);
    await backups.daily(DAY);
    expect(backups.failed).toBeDefined();
    expect((await backups.list()).map((b) => b.name)).toEqual(['shop-2026-11-29.sqlite']);
    expect(await readdir(backups.folder)).toEqual(['shop-2026-11-29.sqlite']);
  });
  it('are thinned: seven days, before them four weeks, three upgrades', () => {
    const day = (n: number) => new Date(DAY - n * 86_400_000).toISOString().slice(0, 10);
    const copies = [
      ...Array.from({ length: 60 }, (_, n) => `shop-${day(n)}.sqlite`),
      ...[1, 2, 3, 4].map((n) => `shop-${day(n)}-before-00${n}-step.sqlite`),
      'shop-notes.sqlite',
    ].flatMap((name) => copyNamed('/data/shop.sqlite', name) ?? []);
    const gone = new Set(toThin(copies));
    const kept = copies.filter((c) => !gone.has(c.name)).map((c) => c.name);
    expect(kept.filter((n) => !n.includes('before'))).toEqual([
      ...Array.from({ length: 7 }, (_, n) => `shop-${day(n)}.sqlite`),
      // 30 November 2026 is a Monday: the week before the last seven days begins on the 23rd.
      'shop-2026-11-23.sqlite',
      'shop-2026-11-22.sqlite',
      'shop-2026-11-15.sqlite',
      'shop-2026-11-08.sqlite',
    ]);
    expect(kept.filter((n) => n.includes('before'))).toHaveLength(3);
    expect(copyNamed('/data/demo.sqlite', 'shop-2026-11-30.sqlite')).toBeUndefined();
  });
  it('are made before an upgrade, and named in the API', async () => {
    const earlier = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
    await migrate(earlier, MIGRATIONS.slice(0, 2));
    await earlier.close();
    const store = await openStore(file);
    const [copy] = await store.backups.list();
    expect(copy!.name).toMatch(/^shop-\d{4}-\d{2}-\d{2}-before-003-pictures\.sqlite$/);
    await store.close();
    const s = await start();
    await newMachine(s);
    await s.store.backups.daily(DAY);
    const { body } = await s.api.get('/api/backups').expect(200);
    expect(body).toMatchObject({ failed: null, backups: [{ name: 'test-2026-11-30.sqlite' }] });
    await s.stop();
  });
  it('are put back: what was there is kept, also a damaged one; what is no backup is refused', async () => {
    await shop('Barge');
    const backups = new Backups(file);
    await backups.daily(DAY);
    const copy = join(backups.folder, 'shop-2026-11-30.sqlite');
    expect(await heldIn(copy)).toMatchObject({ machines: 1, jobs: 0 });
    await writeFile(file, 'half of what was there');
    const kept = await restore(file, copy, new Date(DAY));
    expect(await readFile(kept!, 'utf8')).toBe('half of what was there');
    expect(await nameIn(file)).toBe('Barge');
    const store = await openStore(file);
    await expect(restore(file, copy, new Date(DAY))).rejects.toThrow(/another Pondu/);
    await store.close();
    const bad = join(folder, 'bad.sqlite');
    await writeFile(bad, 'no');
    await expect(restore(file, bad, new Date(DAY))).rejects.toThrow(/damaged or no backup/);
    expect(await nameIn(file)).toBe('Barge');
  });
});
