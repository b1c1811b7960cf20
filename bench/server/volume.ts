import { createReadStream, createWriteStream, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { TestServer } from '../../e2e/server.ts';
import { ask, memory, quantile, rounded } from './client.ts';
import { writeShop, type Size } from './fill.ts';

export interface Volume {
  size: Size;
  fileMb: number;
  importSeconds: number;
  /** A reading written down while the import goes on. */
  readingBesideImportP95Ms: number;
  exportSeconds: number;
  importOfExportSeconds: number;
  p95Ms: Readonly<Record<string, number>>;
  /** Of the server with all its threads: at rest, and the highest that it ever was. */
  memoryMb: { now: number; peak: number };
}

async function upload(url: string, path: string): Promise<number> {
  const started = performance.now();
  const response = await fetch(`${url}/api/import`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: Readable.toWeb(createReadStream(path)) as ReadableStream,
    duplex: 'half',
  } as RequestInit);
  if (response.status !== 201)
    throw new Error(`Import answered ${response.status}: ${(await response.text()).slice(0, 300)}`);
  return (performance.now() - started) / 1000;
}

/** A shop of many years: how long its lists, a job and a reading take, and all of it out and in again. */
export async function volume(size: Size, asked: number): Promise<Volume> {
  const folder = mkdtempSync(join(tmpdir(), 'pondu-volume-'));
  const server = new TestServer({ PONDU_CALLS_A_MINUTE: '100000000' });
  const url = await server.start();
  const path = join(folder, 'shop.pondu.json');
  await writeShop(path, size);

  let importing = true;
  const beside: number[] = [];
  const importSeconds = upload(url, path).finally(() => (importing = false));
  while (importing) {
    const { ms } = await ask(`${url}/api/jobs/tractor-1/settings`, 'POST', {
      figure: 'points.gapMetres',
      leftAt: 0.4e-3,
    });
    beside.push(ms);
  }
  const took = await importSeconds;

  const timed = async (what: (i: number) => Promise<{ status: number; ms: number }>) => {
    const ms: number[] = [];
    for (let i = 0; i < asked; i++) {
      const answer = await what(i);
      if (answer.status >= 400 || answer.status === 0) throw new Error(`Answered ${answer.status}`);
      ms.push(answer.ms);
    }
    return rounded(quantile(ms, 0.95));
  };
  const jobOf = (i: number) => `job-${(i * 37) % size.machines}-${i % (size.jobs / size.machines)}`;
  let next: string | null = null;
  const p95Ms = {
    bays: await timed(() => ask(`${url}/api/jobs?stage=open&limit=30`)),
    pageOfJobs: await timed(async () => {
      const answer = await ask(`${url}/api/jobs?limit=50${next ? `&after=${next}` : ''}`);
      next = (JSON.parse(answer.text) as { next: string | null }).next;
      return answer;
    }),
    search: await timed((i) => ask(`${url}/api/jobs?q=${['slipway', 'ferry 12', 'orch', 'number 41'][i % 4]!}`)),
    machines: await timed((i) => ask(`${url}/api/machines?limit=50&q=${i % 2 ? 'quay' : ''}`)),
    oneJob: await timed((i) => ask(`${url}/api/jobs/${jobOf(i)}`)),
    oneReading: await timed((i) =>
      ask(`${url}/api/jobs/${jobOf(i)}/readings`, 'POST', { checkId: 'battery-rest', typed: '12.4 V' }),
    ),
  };
  const out = join(folder, 'out.pondu.json');
  const started = performance.now();
  const response = await fetch(`${url}/api/export`);
  await pipeline(Readable.fromWeb(response.body as never), createWriteStream(out));
  const exportSeconds = (performance.now() - started) / 1000;
  const memoryMb = { now: memory(server.pid, 'VmRSS'), peak: memory(server.pid, 'VmHWM') };
  await server.remove();

  const other = new TestServer({ PONDU_LOAD: '' });
  const importOfExportSeconds = await upload(await other.start(), out);
  await other.remove();
  const fileMb = rounded(statSync(out).size / 1e6);
  rmSync(folder, { recursive: true, force: true });
  return {
    size,
    fileMb,
    importSeconds: rounded(took),
    readingBesideImportP95Ms: rounded(quantile(beside, 0.95)),
    exportSeconds: rounded(exportSeconds),
    importOfExportSeconds: rounded(importOfExportSeconds),
    p95Ms,
    memoryMb,
  };
}
