import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { gzipSync } from 'node:zlib';
import { simulatedName, TracerCache, traceView } from '@pondu/core';
import { houseSchema, jobBodySchema, machineBodySchema } from '@pondu/core/schema';
import express from 'express';
import type { Piscina } from 'piscina';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { Line } from '../src/compute/line.ts';
import { computePool } from '../src/compute/pool.ts';
import { leaving } from '../src/http/request.ts';
import type { Compute } from '../src/compute/compute.ts';
import { clearImports, importFile } from '../src/files/import.ts';
import { openStore } from '../src/store/database.ts';
import { complaint, machineBody, newJob, start, type Started } from './start.ts';

const reading = (id: string) => ({
  type: 'reading',
  reading: { id, checkId: 'battery-rest', value: { kind: 'number', value: 12.4 }, at: '2026-01-01T00:00:00Z' },
});
/** A shop of so many jobs, each with its events. */
const shop = (jobs: number, events: number, prefix = 'i') => ({
  format: 'pondu',
  version: 1,
  machines: [
    {
      id: `${prefix}-machine`,
      machine: machineBody,
      jobs: Array.from({ length: jobs }, (_, j) => ({
        id: `${prefix}-${j}`,
        complaint,
        openedAt: '2026-01-01T00:00:00Z',
        events: Array.from({ length: events }, (_x, e) => reading(`${e}`)),
        snags: [{ id: `${prefix}-${j}-s`, what: 'Belt', weight: 'looks', at: '2026-01-01T00:00:00Z' }],
      })),
    },
  ],
});

describe('an import', () => {
  let s: Started;
  beforeAll(async () => {
    s = await start();
  });
  afterAll(() => s.stop());

  it('lets others write in between, shows nothing until all is in, and then all of it in order', async () => {
    const id = await newJob(s);
    const events: string[] = [];
    const importing = s.api
      .post('/api/import')
      .send(shop(60, 50))
      .expect(201)
      .then((res) => {
        events.push('imported');
        return res;
      });
    // While it goes on: readings are written down, and nothing of the import shows.
    let between = 0;
    while (!events.length) {
      await s.api.post(`/api/jobs/${id}/settings`).send({ figure: 'a', leftAt: between }).expect(201);
      if (events.length) break;
      between++;
      expect((await s.api.get('/api/machines/i-machine')).status).toBe(events.length ? 200 : 404);
    }
    expect((await importing).body).toEqual({ machines: 1, jobs: 60, skipped: [] });
    expect(between).toBeGreaterThan(2);
    const job = (await s.api.get('/api/jobs/i-7').expect(200)).body as {
      events: { reading: { id: string } }[];
      snags: object[];
    };
    expect(job.events.map((e) => e.reading.id)).toEqual(Array.from({ length: 50 }, (_, i) => `${i}`));
    expect(job.snags).toHaveLength(1);
    expect((await s.api.get('/api/jobs?q=belt&machine=i-machine&limit=200')).body.rows).toHaveLength(60);
  });
  it('that fails after some slices leaves no trace', async () => {
    const file = shop(20, 30, 'f');
    file.machines[0]!.jobs.push(file.machines[0]!.jobs[0]!);
    await s.api.post('/api/import').send(file).expect(409);
    const where = { id: ['f-machine', 'f-0', 'f-19'] };
    expect(await s.store.models.machines.count({ where })).toBe(0);
    expect(await s.store.models.jobs.count({ where })).toBe(0);
    expect(await s.store.models.events.count({ where: { jobId: 'f-3' } })).toBe(0);
    await s.api.get('/api/jobs?q=belt').expect(200);
  });
  it('cut off by a dying server is cleared away at the next start', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'pondu-cut-'));
    const store = await openStore(join(folder, 'a.sqlite'));
    const path = join(folder, 'shop.json');
    await writeFile(path, JSON.stringify(shop(10, 10, 'c')));
    await importFile(store, s.compute.readImport, path, folder);
    await store.models.machines.update({ importing: 'dead' }, { where: { id: 'c-machine' } });
    await store.models.jobs.update({ importing: 'dead' }, { where: { machineId: 'c-machine' } });
    await clearImports(store);
    expect([
      await store.models.machines.count(),
      await store.models.jobs.count(),
      await store.models.events.count(),
    ]).toEqual([0, 0, 0]);
    const [[docs]] = (await store.sequelize.query('SELECT count(*) AS n FROM search_docs')) as unknown as [
      { n: number }[],
    ];
    expect(docs!.n).toBe(0);
    await store.close();
    await rm(folder, { recursive: true, force: true });
  });
  it('of what is here already leaves it as it is', async () => {
    await s.api
      .post('/api/import')
      .send(shop(2, 2, 'twice'))
      .expect(201);
    const again = await s.api
      .post('/api/import')
      .send(shop(3, 2, 'twice'))
      .expect(201);
    expect(again.body).toEqual({ machines: 0, jobs: 0, skipped: ['Test car'] });
    await s.api.get('/api/jobs/twice-2').expect(404);
  });
});

describe('what waits for a thread', () => {
  /** A thread that finishes each task when it is told to. */
  function slowThread() {
    const ran: string[] = [];
    const finish: (() => void)[] = [];
    const run = ({ name }: { name: string }) => {
      ran.push(name);
      return new Promise((done) => finish.push(() => done(`${name} done`)));
    };
    return { ran, finish, line: new Line({ run } as unknown as Piscina) };
  }
  const doing = (name: string) => (thread: Piscina) => thread.run({ name }) as Promise<string>;

  it('goes in the order of asking, one at a time', async () => {
    const { ran, finish, line } = slowThread();
    const [a, b] = [line.run(doing('a')), line.run(doing('b'))];
    await Promise.resolve();
    expect(ran).toEqual(['a']);
    expect(line.waiting).toBe(1);
    finish[0]!();
    expect(await a).toBe('a done');
    await vi.waitUntil(() => ran.length === 2);
    finish[1]!();
    expect(await b).toBe('b done');
    expect(line.waiting).toBe(0);
  });
  it('is passed over where whoever asked has left, and those behind it go on', async () => {
    const { ran, finish, line } = slowThread();
    const left = new AbortController();
    const first = line.run(doing('first'));
    const gone = line.run(doing('gone'), left.signal);
    const stays = line.run(doing('stays'), new AbortController().signal);
    left.abort();
    await vi.waitUntil(() => ran.length === 1);
    finish[0]!();
    await first;
    await expect(gone).rejects.toMatchObject({ status: 408 });
    await vi.waitUntil(() => ran.length === 2);
    finish[1]!();
    expect(await stays).toBe('stays done');
    expect(ran).toEqual(['first', 'stays']);
  });
  it('goes on behind a task that fails', async () => {
    const run = vi.fn().mockRejectedValueOnce(new Error('broken')).mockResolvedValueOnce('well');
    const line = new Line({ run } as unknown as Piscina);
    await expect(line.run(doing('a'))).rejects.toThrow('broken');
    expect(await line.run(doing('b'))).toBe('well');
  });
  it('a page that leaves is known to have left', async () => {
    const told: boolean[] = [];
    const app = express().get('/', (_req, res) => {
      const left = leaving(res);
      left.addEventListener('abort', () => told.push(true));
    });
    const server = app.listen(0);
    const leaves = new AbortController();
    const asked = fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`, { signal: leaves.signal });
    await vi.waitUntil(async () => (await connections(server)) > 0);
    leaves.abort();
    await expect(asked).rejects.toThrow();
    await vi.waitUntil(() => told.length === 1);
    server.close();
  });
});
const connections = (server: Server): Promise<number> =>
  new Promise((done) => server.getConnections((_error, count) => done(count)));

describe('computing on threads of its own', () => {
  const worker = join(import.meta.dirname, '../src/compute/worker.ts');
  let compute: Compute;
  let s: Started;
  beforeAll(async () => {
    compute = computePool(worker, () => Promise.resolve(undefined));
    s = await start({ compute });
  });
  afterAll(async () => {
    await s.stop();
    await compute.close();
  });

  it('gives what the same task gives here, refusals with their facts', async () => {
    const here = await start();
    const [there, local] = [await newJob(s), await newJob(here)];
    const traced = async (from: Started, id: string) =>
      (await from.api.get(`/api/jobs/${id}/trace`).expect(200)).body as object;
    expect(await traced(s, there)).toEqual(await traced(here, local));
    const refused = await s.api
      .post(`/api/jobs/${there}/readings`)
      .send({ checkId: 'battery-rest', typed: '126' })
      .expect(422);
    expect(refused.body).toMatchObject({ type: 'urn:pondu:absurd', fields: [{ field: 'typed' }] });
    await s.api.get(`/api/jobs/${there}/checks/none/ruler`).expect(404);
    await here.stop();
  });
  it('a reading is written down while traces of cold machines wait', async () => {
    const { body } = await s.api
      .post('/api/machines')
      .send({ ...machineBody, fitOut: { ...machineBody.fitOut, cylinders: 2 } })
      .expect(201);
    const cold = await newJob(s, complaint, (body as { id: string }).id);
    const id = await newJob(s);
    const order: string[] = [];
    const traces = Array.from({ length: 3 }, () =>
      s.api
        .get(`/api/jobs/${cold}/trace`)
        .expect(200)
        .then(() => void order.push('trace')),
    );
    await s.api
      .post(`/api/jobs/${id}/readings`)
      .send({ checkId: 'battery-rest', typed: '12.4' })
      .expect(201)
      .then(() => void order.push('reading'));
    await Promise.all(traces);
    expect(order.indexOf('reading')).toBeLessThan(3);
  });
  it('others are answered while cold machines are traced', async () => {
    const ids: string[] = [];
    for (const cylinders of [4, 6, 8] as const) {
      const { body } = await s.api
        .post('/api/machines')
        .send({ ...machineBody, fitOut: { ...machineBody.fitOut, cylinders } })
        .expect(201);
      ids.push(await newJob(s, complaint, (body as { id: string }).id));
    }
    const order: string[] = [];
    const traces = ids.map((id) =>
      s.api
        .get(`/api/jobs/${id}/trace`)
        .expect(200)
        .then(() => void order.push('trace')),
    );
    await s.api
      .get('/api/health')
      .expect(200)
      .then(() => void order.push('health'));
    await Promise.all(traces);
    expect(order[0]).toBe('health');
  });
  it.each([
    ['what was simulated before', true],
    ['what cannot be read', false],
  ])('a thread that has not met a machine is given %s, once, and answers as ever', async (_what, readable) => {
    const [machine, house] = [machineBodySchema.parse(machineBody), houseSchema.parse({})];
    const cache = new TracerCache(1);
    cache.for(machine, house).weigher.simulate();
    const kept = readable ? gzipSync(cache.simulated(machine, house)) : Buffer.from('garbage');
    const asked = vi.fn((_name: string) => Promise.resolve<Uint8Array | undefined>(kept));
    const other = computePool(worker, asked);
    const now = { warmth: 'unknown', faultPresent: 'yes' } as const;
    const job = jobBodySchema.parse({ complaint, openedAt: '2026-05-04T08:00:00Z' });
    const input = { machine, house, job, events: [], now };
    const first = await other.run('trace', input);
    expect(first).toEqual(traceView(cache.for(machine, house), job.complaint, [], now));
    expect(await other.run('trace', input)).toEqual(first);
    // Nothing that asks for no prediction waits for it.
    await other.run('model', { ...input, machine: { ...machine, plates: {} } });
    expect(asked.mock.calls).toEqual([[simulatedName(machine, house)]]);
    await other.close();
  });
  it('reads an import there as well', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'pondu-there-'));
    const path = join(folder, 'a.json');
    await writeFile(path, JSON.stringify(shop(1, 1)));
    const spool = { machines: join(folder, 'm'), rows: join(folder, 'r') };
    expect(await compute.readImport(path, spool)).toEqual({ ok: true, house: null, rows: 2 });
    expect((await readFile(spool.rows, 'utf8')).split('\n')[0]).toContain('"job",0,"i-0"');
    await rm(folder, { recursive: true, force: true });
  });
});
