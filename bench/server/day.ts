import { seededRandom } from '../../core/src/random/lcg.ts';
import { TestServer } from '../../e2e/server.ts';
import { ask, BENCH_COMPLAINT, BENCH_MACHINE, memory, quantile, rounded, type Answered } from './client.ts';
import { photo, sayPhoto, sendPicture } from './photos.ts';

export interface Day {
  minutes: number;
  people: number;
  jobs: number;
  restarts: number;
  writes: number;
  /** Of each kind of write, from asking to the answer; those that met a server that was away are counted apart. */
  p95Ms: Readonly<Record<string, number>>;
  triedAgain: number;
  readsP95Ms: Readonly<Record<string, number>>;
  refused: Readonly<Record<string, number>>;
  lost: number;
  doubled: number;
  memoryMb: { now: number; peak: number };
}

export interface DayOf {
  minutes: number;
  people: number;
  jobs: number;
  photosAMinute: number;
  restarts: number;
}

const MACHINES = 40;
const SIDE = 600;
/** What a person does between two entries, milliseconds at least; as much again at most. */
const PAUSE_MS = 1500;
const AGAIN_MS = 250;
/** Of so many moves one is to look instead of to write. */
const LOOK_SHARE = 0.35;
const CHECKS = ['battery-rest', 'switch-volts', 'coil-feed-closed'] as const;

/** A busy shop played quickly: everyone reads and writes on jobs of their own and of others, the server restarts. */
export async function day({ minutes, people, jobs: many, photosAMinute, restarts }: DayOf): Promise<Day> {
  const server = new TestServer({ PONDU_CALLS_A_MINUTE: '100000000', PONDU_LOAD: '' });
  let url = await server.start();
  const jobs: string[] = [];
  const machines: string[] = [];
  for (let m = 0; m < MACHINES; m++) {
    const fitOut = { ...BENCH_MACHINE.fitOut, cylinders: [4, 6, 8][m % 3], compressionRatio: 7 + m / MACHINES };
    const made = await ask(`${url}/api/machines`, 'POST', { ...BENCH_MACHINE, name: `Machine ${m}`, fitOut });
    machines.push((JSON.parse(made.text) as { id: string }).id);
  }
  for (let j = 0; j < many; j++) {
    const sent = { machineId: machines[j % MACHINES]!, complaint: BENCH_COMPLAINT };
    const made = await ask(`${url}/api/jobs`, 'POST', sent);
    jobs.push((JSON.parse(made.text) as { id: string }).id);
  }
  const pictures = await Promise.all(Array.from({ length: 8 }, () => photo(SIDE)));

  const ends = performance.now() + minutes * 60_000;
  const written = new Set<string>();
  const ms: Record<string, number[]> = {};
  const read: Record<string, number[]> = {};
  const refused: Record<string, number> = {};
  let triedAgain = 0;
  let peak = 0;
  const pause = (least: number) => new Promise((later) => setTimeout(later, least));
  /** Sends until it is answered, as the page's outbox does. */
  const write = async (what: string, job: string, id: string, send: () => Promise<Answered>) => {
    for (let times = 0; ; times++) {
      const answer = await send();
      if (answer.status === 0 || answer.status === 503) {
        if (times === 0) triedAgain++;
        await pause(AGAIN_MS);
        continue;
      }
      if (answer.status === 201) {
        written.add(`${job}/${id}`);
        if (times === 0) (ms[what] ??= []).push(answer.ms);
      } else refused[`${what} ${answer.status}`] = (refused[`${what} ${answer.status}`] ?? 0) + 1;
      return;
    }
  };
  const look = async (what: string, path: string) => {
    const answer = await ask(`${url}${path}`);
    if (answer.status === 200) (read[what] ??= []).push(answer.ms);
  };
  const person = async (n: number) => {
    const random = seededRandom(100 + n);
    for (let i = 0; performance.now() < ends; i++) {
      await pause(PAUSE_MS * (1 + random()));
      const job = jobs[Math.floor(random() * jobs.length)]!;
      const id = `${n}-${i}`;
      const drawn = random();
      if (random() < LOOK_SHARE) {
        if (drawn < 0.3) await look('bays', '/api/jobs?stage=open&limit=30');
        else if (drawn < 0.8) await look('job', `/api/jobs/${job}`);
        else await look('trace', `/api/jobs/${job}/trace`);
      } else if (drawn < 0.7) {
        const reading = {
          id,
          checkId: CHECKS[i % CHECKS.length]!,
          typed: `${(12 + random()).toFixed(2)} V`,
          confirmed: true,
        };
        await write('reading', job, id, () => ask(`${url}/api/jobs/${job}/readings`, 'POST', reading));
      } else if (drawn < 0.85) {
        const setting = { id, figure: 'points.gapMetres', leftAt: 0.4e-3 };
        await write('setting', job, id, () => ask(`${url}/api/jobs/${job}/settings`, 'POST', setting));
      } else {
        const aside = { id, checkId: CHECKS[i % CHECKS.length]!, note: 'Out of reach' };
        await write('aside', job, id, () => ask(`${url}/api/jobs/${job}/asides`, 'POST', aside));
      }
    }
  };
  const camera = async () => {
    for (let i = 0; performance.now() < ends; i++) {
      await pause(60_000 / photosAMinute);
      const job = jobs[i % jobs.length]!;
      const id = `photo-${i}`;
      const picture = () => sendPicture(url, job, id, pictures[i % pictures.length]!);
      // The page sends the picture until it is there, and then what is said of it.
      for (let sent = await picture(); ; sent = await picture()) {
        if (sent.status === 201) {
          (ms['picture'] ??= []).push(sent.ms);
          break;
        }
        await pause(AGAIN_MS);
      }
      await write('photo', job, id, () => sayPhoto(url, job, id));
    }
  };
  const restarter = async () => {
    for (let r = 1; r <= restarts; r++) {
      await pause((minutes * 60_000) / (restarts + 1));
      peak = Math.max(peak, memory(server.pid, 'VmHWM'));
      await server.stop();
      url = await server.start();
    }
  };
  await Promise.all([...Array.from({ length: people }, (_, n) => person(n)), camera(), restarter()]);
  const memoryMb = { now: memory(server.pid, 'VmRSS'), peak: Math.max(peak, memory(server.pid, 'VmHWM')) };

  const there: string[] = [];
  for (const job of jobs) {
    const { events } = JSON.parse((await ask(`${url}/api/jobs/${job}`)).text) as {
      events: Partial<Record<'reading' | 'setting' | 'aside' | 'photo', { id: string }>>[];
    };
    for (const { reading, setting, aside, photo: sent } of events)
      there.push(`${job}/${(reading ?? setting ?? aside ?? sent)!.id}`);
  }
  await server.remove();
  const once = new Set(there);
  const p95 = (all: Record<string, number[]>) =>
    Object.fromEntries(Object.entries(all).map(([what, times]) => [what, rounded(quantile(times, 0.95))]));
  return {
    minutes,
    people,
    jobs: many,
    restarts,
    writes: written.size,
    p95Ms: p95(ms),
    triedAgain,
    readsP95Ms: p95(read),
    refused,
    lost: [...written].filter((w) => !once.has(w)).length,
    doubled: there.length - once.size,
    memoryMb,
  };
}
