import { execFileSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { KINDS } from '../kinds.ts';
import { inBrowser } from './inBrowser.ts';
import type { Timed } from './measure.ts';

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

/** First trace, recommendation and memory of each kind, one process a kind; then one in Chromium's worker. */
export async function speedFigures(): Promise<object> {
  const byKind: Record<string, object> = {};
  for (const kind of Object.keys(KINDS).filter((k) => !ONLY || k.includes(ONLY))) {
    const out = execFileSync(
      process.execPath,
      ['--expose-gc', '--import', 'tsx', fileURLToPath(new URL('./inNode.ts', import.meta.url)), kind],
      { encoding: 'utf8', maxBuffer: 1 << 28 },
    );
    const timed = JSON.parse(out) as Timed & { tracerMegabytes: number; faults: number };
    byKind[kind] = { ...figures(timed), tracerMegabytes: round(timed.tracerMegabytes), faults: timed.faults };
    process.stderr.write(`${kind}: ${JSON.stringify(byKind[kind])}\n`);
  }
  const browser = await inBrowser(KINDS[IN_BROWSER]!);
  return {
    node: byKind,
    browserWorker: {
      kind: IN_BROWSER,
      ...figures(browser),
      firstTraceRecalledMs: round(browser.recalledMs),
      simulatedKilobytes: round(browser.simulatedBytes / 1e3),
      workerMegabytes: round(browser.workerMegabytes),
    },
  };
}
