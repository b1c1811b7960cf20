import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { writeFile } from 'node:fs/promises';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { loadFolder } from '../src/loadFolder.ts';
import { openStore } from '../src/store/database.ts';
import { complaint, machineBody, start, type Started } from './start.ts';

const demo = join(import.meta.dirname, '../../demo');
let s: Started;
beforeEach(async () => {
  s = await start();
});
afterEach(() => s.stop());

describe('open files', () => {
  it('the demo is read through the same import, once', async () => {
    await loadFolder(s.store, s.compute.readImport, demo);
    await loadFolder(s.store, s.compute.readImport, demo);
    const machines = (await s.api.get('/api/machines')).body.rows as unknown[];
    expect(machines).toHaveLength((await readdir(demo)).length);
    const jobs = (await s.api.get('/api/jobs')).body.rows as { job: { stage: string } }[];
    expect(new Set(jobs.map((j) => j.job.stage)).size).toBeGreaterThanOrEqual(4);
  });

  it('what is exported is what was imported', async () => {
    await loadFolder(s.store, s.compute.readImport, demo);
    const { body: out } = await s.api.get('/api/export').expect(200);
    const other = await start();
    await other.api.post('/api/import').send(out).expect(201);
    const { body: again } = await other.api.get('/api/export').expect(200);
    const sorted = (file: { machines: { jobs: { id: string }[] }[] }) => ({
      ...file,
      machines: file.machines.map((m) => ({ ...m, jobs: [...m.jobs].sort((a, b) => a.id.localeCompare(b.id)) })),
    });
    expect(sorted(again)).toEqual(sorted(out));
    await other.stop();
  });

  it.each([
    ['another program’s file', { some: 'thing' }, 'format'],
    ['half a file', { format: 'pondu', version: 1 }, 'machines'],
    ['a file of the future', { format: 'pondu', version: 9, machines: [] }, 'version'],
    [
      'a machine without a fit-out',
      { format: 'pondu', version: 1, machines: [{ id: 'a', machine: { name: 'x' } }] },
      'machines.0.machine.kind',
    ],
  ])('refuses %s by the field, and changes nothing', async (_name, file, field) => {
    const res = await s.api.post('/api/import').send(file).expect(422);
    expect((res.body as { fields: { field: string }[] }).fields.map((f) => f.field)).toContain(field);
    expect((await s.api.get('/api/machines')).body.rows).toEqual([]);
  });

  it('a file that fails halfway leaves no trace', async () => {
    const good = JSON.parse(await readFile(join(demo, 'tractor.pondu.json'), 'utf8')) as {
      machines: { jobs: unknown[] }[];
    };
    const job = good.machines[0]!.jobs[0]!;
    good.machines[0]!.jobs.push(job);
    await s.api.post('/api/import').send(good).expect(409);
    expect((await s.api.get('/api/machines')).body.rows).toEqual([]);
  });

  it('publishes the schema of its files', async () => {
    const { body } = await s.api.get('/api/schema/pondu-file.json').expect(200);
    expect(body.$defs.PonduFile).toMatchObject({
      type: 'object',
      required: expect.arrayContaining(['format', 'version', 'machines']),
    });
  });
});

describe('the data file', () => {
  it('a backup is a whole database', async () => {
    await s.api.post('/api/machines').send(machineBody).expect(201);
    const res = await s.api
      .get('/api/backup.sqlite')
      .buffer(true)
      .parse((r, done) => {
        const chunks: Buffer[] = [];
        r.on('data', (c: Buffer) => chunks.push(c)).on('end', () => done(null, Buffer.concat(chunks)));
      });
    const copy = `${s.file}.copy`;
    await writeFile(copy, res.body as Buffer);
    const store = await openStore(copy);
    expect(await store.models.machines.count()).toBe(1);
    await store.close();
  });

  it('holds to foreign keys, valid JSON and write-ahead logging', async () => {
    await expect(
      s.store.sequelize.query(
        `INSERT INTO jobs (id, machine_id, body, created_at, updated_at) VALUES ('x', 'none', '{}', '', '')`,
      ),
    ).rejects.toThrow(/FOREIGN KEY/);
    await expect(
      s.store.sequelize.query(
        `INSERT INTO machines (id, body, created_at, updated_at) VALUES ('x', 'not json', '', '')`,
      ),
    ).rejects.toThrow('malformed JSON');
    const [[row]] = (await s.store.sequelize.query('PRAGMA journal_mode')) as unknown as [{ journal_mode: string }[]];
    expect(row?.journal_mode).toBe('wal');
  });

  it('is there after a restart', async () => {
    const { body: machine } = await s.api.post('/api/machines').send(machineBody).expect(201);
    await s.api.post('/api/jobs').send({ machineId: machine.id, complaint }).expect(201);
    const db = new sqlite3.Database(s.file, sqlite3.OPEN_READONLY);
    const count = await new Promise<number>((resolve, reject) =>
      db.get('SELECT count(*) AS n FROM jobs', (e, r: { n: number }) => (e ? reject(e) : resolve(r.n))),
    );
    expect(count).toBe(1);
    await new Promise((resolve) => db.close(resolve));
  });
});
