import { copyFile, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { workOutFolder } from '../src/compute/workOutFolder.ts';
import { readImport } from '../src/files/readImport.ts';
import { loadFolder } from '../src/loadFolder.ts';
import { start } from './start.ts';

const DEMO = join(import.meta.dirname, '../../demo');
const FILE = 'dory.pondu.json';
let folder: string;
let made: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'pondu-worked-'));
  made = join(folder, 'made');
  await copyFile(join(DEMO, FILE), join(folder, FILE));
});
afterEach(() => rm(folder, { recursive: true, force: true }));

/** A server on that file's jobs: what its bays show, and how often it had to work one out. */
async function bays(change: (s: Awaited<ReturnType<typeof start>>, id: string) => Promise<unknown> = async () => {}) {
  const s = await start({ workedOut: made, simulates: true });
  await loadFolder(s.store, readImport, folder);
  const rows = (await s.api.get('/api/jobs?stage=open&limit=30').expect(200)).body.rows as { id: string }[];
  const ids = rows.map((r) => r.id);
  await change(s, ids[0]!);
  const run = vi.spyOn(s.compute, 'run');
  s.summaries.want(ids);
  await s.summaries.idle();
  await s.simulations!.idle();
  const worked = run.mock.calls.filter(([name]) => name === 'summary' || name === 'simulated').length;
  const shown = await Promise.all(ids.map(async (id) => (await s.store.models.summaries.findByPk(id))!.body));
  const simulated = await s.store.models.simulations.count();
  await s.stop();
  return { jobs: ids.length, worked, shown, simulated };
}

describe('jobs that were worked out before there was a server', () => {
  it('show the same bay as one that works it out, at once, and their machine is carried', async () => {
    const own = await bays();
    expect(own.jobs).toBeGreaterThan(0);
    expect(own.worked).toBe(own.jobs + own.simulated);
    await workOutFolder(folder, made, () => true);
    const before = await bays();
    expect(before.worked).toBe(0);
    expect(before.shown).toEqual(own.shown);
    expect(before.simulated).toBe(own.simulated);
  });
  it('are worked out anew once anything was entered', async () => {
    await workOutFolder(folder, made, () => true);
    const after = await bays((s, id) =>
      s.api.patch(`/api/jobs/${id}`).send({ complaint: { words: 'And it squeaks' } }),
    );
    expect(after.worked).toBe(1);
  });
  it('and where the file was cut off', async () => {
    await workOutFolder(folder, made, () => true);
    const files = await readdir(made);
    const bayFiles = files.filter((f) => f.endsWith('.json'));
    expect(bayFiles.length).toBeGreaterThan(0);
    for (const file of bayFiles) await writeFile(join(made, file), '{"bay":');
    const after = await bays();
    expect(after.worked).toBe(after.jobs);
  });
  it('are left where time is up', async () => {
    await workOutFolder(folder, made, () => false);
    await expect(readdir(made)).rejects.toThrow();
  });
});
