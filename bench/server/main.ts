import { offline, paint } from './browser.ts';
import { cold } from './cold.ts';
import { day } from './day.ts';
import { fuzz } from './fuzz.ts';
import { killing } from './killing.ts';
import { tabs } from './tabs.ts';
import { volume } from './volume.ts';

const PARTS = {
  killing: () => killing(Number(process.env['BENCH_ROUNDS'] ?? 300), 8),
  fuzz: () => fuzz(Number(process.env['BENCH_REQUESTS'] ?? 100_000), 1),
  volume: () => volume({ machines: 500, jobs: 5000, readings: 150_000 }, 200),
  cold: () => cold(8),
  offline: () => offline(50),
  tabs: () => tabs(12, 20),
  day: () =>
    day({ minutes: Number(process.env['BENCH_MINUTES'] ?? 10), people: 30, jobs: 200, photosAMinute: 20, restarts: 2 }),
  paint: () => paint(30, 4),
} as const;

/**
 * npm run -s bench server [parts…]: figures of the server as JSON, one part after the other. BENCH_ROUNDS,
 * BENCH_REQUESTS and BENCH_MINUTES make killing, fuzzing and the day shorter.
 */
export async function serverFigures(parts: readonly string[]): Promise<Record<string, unknown>> {
  const figures: Record<string, unknown> = {};
  for (const [name, part] of Object.entries(PARTS)) {
    if (parts.length && !parts.includes(name)) continue;
    process.stderr.write(`${name} …\n`);
    // What one part runs into does not cost the figures of the others.
    figures[name] = await part().catch((error: unknown) => ({ failed: String(error) }));
    process.stderr.write(`${JSON.stringify(figures[name])}\n`);
  }
  return figures;
}
