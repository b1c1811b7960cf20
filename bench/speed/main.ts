import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';
import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import { KINDS } from '../kinds.ts';
import { calibrationMs } from './calibration.ts';
import { inBrowser } from './inBrowser.ts';
import { builtForNode } from './builtForNode.ts';
import { simulated, type Timed } from './measure.ts';

const ONLY = process.env['BENCH_KINDS'];
/** The machine that is also timed in a browser's worker: the largest of all. */
const IN_BROWSER = process.env['BENCH_BROWSER'] ?? 'V8 launch, all its trails told';

const at = (values: readonly number[], q: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * q))] ?? NaN;
const round = (v: number) => Number(v.toFixed(1));

const figures = ({ firstMs, recommendMs, traces }: Timed) => ({
  firstTraceMs: round(firstMs),
  recommendMs: {
    p50: round(at(recommendMs, 0.5)),
    p95: round(at(recommendMs, 0.95)),
    worst: round(Math.max(...recommendMs)),
  },
  traces,
  recommendations: recommendMs.length,
});

/** The bench's own loader costs what a user does not pay: each process runs this, built. */
const NODE = fileURLToPath(new URL('./inNode.ts', import.meta.url));

/** First trace, recommendation and memory of each kind, one process a kind; then one in Chromium's worker. */
export async function speedFigures(): Promise<object> {
  const folder = mkdtempSync(join(tmpdir(), 'pondu-speed-'));
  const script = join(folder, 'inNode.mjs');
  await writeFile(script, await builtForNode(NODE));
  const inNode = (...args: string[]): unknown =>
    JSON.parse(
      execFileSync(process.execPath, ['--expose-gc', script, ...args], { encoding: 'utf8', maxBuffer: 1 << 28 }),
    );
  const file = join(folder, 'simulated.json');
  /** As text in that file, gzipped kilobytes, and how long it took. */
  const simulate = (kind: string) => {
    const machine = storedMachineSchema.parse({ name: kind, kind: 'boat', worth: 2000, fitOut: KINDS[kind] });
    const { text, simulateMs } = simulated(machine, houseSchema.parse({}));
    writeFileSync(file, text);
    return { text, simulateMs: round(simulateMs), simulatedKilobytes: round(gzipSync(text).length / 1e3) };
  };
  const byKind: Record<string, object> = {};
  for (const kind of Object.keys(KINDS).filter((k) => !ONLY || k.includes(ONLY))) {
    const timed = inNode(kind) as Timed & { tracerMegabytes: number; faults: number };
    const { text: _, ...ahead } = simulate(kind);
    const { recalledMs } = inNode(kind, file) as { recalledMs: number };
    byKind[kind] = {
      ...figures(timed),
      firstTraceRecalledMs: round(recalledMs),
      ...ahead,
      tracerMegabytes: round(timed.tracerMegabytes),
      faults: timed.faults,
    };
    process.stderr.write(`${kind}: ${JSON.stringify(byKind[kind])}\n`);
  }
  const browser = await inBrowser(KINDS[IN_BROWSER]!, simulate(IN_BROWSER).text);
  rmSync(folder, { recursive: true, force: true });
  return {
    calibrationMs: round(calibrationMs()),
    node: byKind,
    browserWorker: {
      kind: IN_BROWSER,
      ...figures(browser),
      firstTraceRecalledMs: round(browser.recalledMs),
      workerMegabytes: round(browser.workerMegabytes),
    },
  };
}
