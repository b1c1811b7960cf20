import { createHash } from 'node:crypto';
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { TestServer } from '../../e2e/server.ts';
import { wrongWith } from '../../server/src/store/backups.ts';
import { ask, BENCH_COMPLAINT, BENCH_MACHINE, quantile, rounded } from './client.ts';
import { photo, sayPhoto, sendPicture } from './photos.ts';

export interface Killing {
  rounds: number;
  clients: number;
  acknowledged: number;
  lost: number;
  /** Written down more than once. */
  doubled: number;
  imports: { acknowledged: number; lost: number; halves: number };
  /** Photos that were acknowledged; of them those that are gone or are not the bytes that were sent. */
  photos: { acknowledged: number; lost: number };
  /** Copies that the server made of its data while it was killed, and those of them that SQLite finds fault with. */
  copies: { made: number; damaged: number; asked: number };
  restartMs: { median: number; worst: number };
}

const SIDE = 120;

/** Entries acknowledged for each client before the server is killed in a round; then a little, never the same. */
const EACH = 3;
const LOOK_MS = 5;
const importOf = (id: string) => ({
  format: 'pondu',
  version: 1,
  machines: [
    {
      id,
      machine: BENCH_MACHINE,
      jobs: Array.from({ length: 20 }, (_, j) => ({
        id: `${id}-${j}`,
        complaint: BENCH_COMPLAINT,
        openedAt: '2026-01-01T00:00:00Z',
        events: Array.from({ length: 30 }, (_e, e) => ({
          type: 'setting',
          setting: { id: `${e}`, figure: 'a', leftAt: e, at: '2026-01-01T00:00:00Z' },
        })),
      })),
    },
  ],
});

/** Kills the server with -9 while clients write and import, over and over; nothing acknowledged may be gone. */
export async function killing(rounds: number, clients: number): Promise<Killing> {
  const server = new TestServer({ PONDU_CALLS_A_MINUTE: '100000000', PONDU_LOAD: '' });
  const settings = new Set<string>();
  const imported = new Set<string>();
  const photos = new Map<string, string>();
  const restarts: number[] = [];
  const copies = { made: 0, damaged: 0, asked: 0 };
  let url = await server.start();
  const { id: machineId } = JSON.parse((await ask(`${url}/api/machines`, 'POST', BENCH_MACHINE)).text) as {
    id: string;
  };
  const jobs: string[] = [];
  for (let i = 0; i < clients; i++) {
    const { text } = await ask(`${url}/api/jobs`, 'POST', { machineId, complaint: BENCH_COMPLAINT });
    jobs.push((JSON.parse(text) as { id: string }).id);
  }
  for (let round = 0; round < rounds; round++) {
    let dead = false;
    let acknowledged = 0;
    // Every second round waits for its import; the others kill the server somewhere in it.
    let importing = round % 2 === 0;
    const client = async (n: number) => {
      for (let i = 0; !dead; i++) {
        const id = `${round}-${n}-${i}`;
        if (n === 0 && i === 1) {
          const { status } = await ask(`${url}/api/import`, 'POST', importOf(`import-${id}`));
          if (status === 201) imported.add(`import-${id}`);
          importing = false;
          continue;
        }
        if (n === 1 && i === 1) {
          const bytes = await photo(SIDE);
          // One job takes so many photos and no more.
          const job = jobs[round % clients]!;
          const sent = await sendPicture(url, job, `photo-${id}`, bytes);
          if (sent.status === 201 && (await sayPhoto(url, job, `photo-${id}`)).status === 201)
            photos.set(`${job}/pictures/photo-${id}`, sha256(bytes));
          continue;
        }
        if (n === 2 && i === 1) {
          if ((await ask(`${url}/api/backup.sqlite`)).status === 200) copies.asked++;
          continue;
        }
        const { status } = await ask(`${url}/api/jobs/${jobs[n]!}/settings`, 'POST', { id, figure: 'a', leftAt: i });
        if (status !== 201) continue;
        settings.add(`${jobs[n]!}/${id}`);
        acknowledged++;
      }
    };
    const working = Array.from({ length: clients }, (_, n) => client(n));
    while (acknowledged < EACH * clients || importing) await new Promise((later) => setTimeout(later, LOOK_MS));
    await new Promise((later) => setTimeout(later, (round % 7) * 20));
    await server.stop('SIGKILL');
    dead = true;
    await Promise.all(working);
    const { made, damaged } = await lookAtCopies(server.folder);
    copies.made += made;
    copies.damaged += damaged;
    const started = performance.now();
    url = await server.start();
    restarts.push(performance.now() - started);
  }
  const result = await count(url, jobs, settings, imported);
  let lost = 0;
  for (const [path, sum] of photos) {
    const kept = await fetch(`${url}/api/jobs/${path}`);
    if (!kept.ok || sha256(new Uint8Array(await kept.arrayBuffer())) !== sum) lost++;
  }
  await server.remove();
  return {
    rounds,
    clients,
    acknowledged: settings.size,
    ...result,
    photos: { acknowledged: photos.size, lost },
    copies,
    restartMs: { median: rounded(quantile(restarts, 0.5), 0), worst: rounded(Math.max(...restarts), 0) },
  };
}

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Looks at the copy of the day and takes it away, so that the next start makes one again. */
async function lookAtCopies(folder: string): Promise<{ made: number; damaged: number }> {
  const made = join(folder, 'backups');
  // One that is not whole yet has another name.
  const names = existsSync(made) ? readdirSync(made).filter((name) => name.endsWith('.sqlite')) : [];
  let damaged = 0;
  for (const name of names) {
    if ((await wrongWith(join(made, name))) !== undefined) damaged++;
    rmSync(join(made, name));
  }
  return { made: names.length, damaged };
}

async function count(
  url: string,
  jobs: readonly string[],
  settings: ReadonlySet<string>,
  imported: ReadonlySet<string>,
) {
  const there: string[] = [];
  for (const job of jobs) {
    const { events } = JSON.parse((await ask(`${url}/api/jobs/${job}`)).text) as {
      events: { setting?: { id: string } }[];
    };
    there.push(...events.flatMap((e) => (e.setting ? [`${job}/${e.setting.id}`] : [])));
  }
  const once = new Set(there);
  const machines: string[] = [];
  for (let after = ''; ;) {
    const { rows, next } = JSON.parse((await ask(`${url}/api/machines?limit=200${after}`)).text) as {
      rows: { id: string }[];
      next: string | null;
    };
    machines.push(...rows.map((r) => r.id));
    if (next === null) break;
    after = `&after=${next}`;
  }
  let halves = 0;
  for (const id of machines.filter((m) => m.startsWith('import-'))) {
    const { rows } = JSON.parse((await ask(`${url}/api/jobs?machine=${id}&limit=200`)).text) as { rows: unknown[] };
    if (rows.length !== 20) halves++;
  }
  return {
    lost: [...settings].filter((s) => !once.has(s)).length,
    doubled: there.length - once.size,
    imports: {
      acknowledged: imported.size,
      lost: [...imported].filter((i) => !machines.includes(i)).length,
      halves,
    },
  };
}
