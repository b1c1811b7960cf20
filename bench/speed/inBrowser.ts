import { fileURLToPath } from 'node:url';
import puppeteer from 'puppeteer-core';
import { build } from 'vite';
import type { FitOut } from '@pondu/core';
import type { FitOutOne } from '@pondu/core/schema';
import type { Timed } from './measure.ts';

export interface InBrowser extends Timed {
  /** First trace where the workshop has simulated the machine: its text read, taken over and traced. */
  recalledMs: number;
  workerMegabytes: number;
}

const built = async (): Promise<string> => {
  const result = await build({
    configFile: false,
    logLevel: 'silent',
    build: {
      write: false,
      lib: { entry: fileURLToPath(new URL('./worker.ts', import.meta.url)), formats: ['iife'], name: 'timed' },
    },
  });
  const [bundle] = Array.isArray(result) ? result : [result];
  const chunk = bundle && 'output' in bundle ? bundle.output.find((o) => o.type === 'chunk') : undefined;
  if (chunk?.type !== 'chunk') throw new Error('The worker was not built');
  return chunk.code;
};

/**
 * One machine in a worker of headless Chromium, as the page runs it; `recall` is what the workshop has simulated of it,
 * megabytes are the worker's own heap.
 */
export async function inBrowser(fit: FitOut | FitOutOne, recall: string): Promise<InBrowser> {
  const code = await built();
  const browser = await puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-dev-shm-usage'],
    protocolTimeout: 600_000,
  });
  try {
    const page = await browser.newPage();
    // Plain strings: the page knows nothing of the helpers that a bundler would leave in a function.
    await page.evaluate(
      `window.ask = (worker, told) => new Promise((done, fail) => {
         worker.onmessage = (e) => done(e.data);
         worker.onerror = (e) => fail(new Error(e.message));
         worker.postMessage(told);
       });
       window.made = () =>
         new Worker(URL.createObjectURL(new Blob([${JSON.stringify(code)}], { type: 'text/javascript' })));
       window.timed = made();`,
    );
    const timed = (await page.evaluate(`ask(timed, { fit: ${JSON.stringify(fit)} })`)) as Timed;
    const client = page.workers()[0]!.client;
    await client.send('HeapProfiler.collectGarbage');
    const { usedSize } = await client.send('Runtime.getHeapUsage');
    // In a worker that is new as well: nothing of it is warm.
    const told = JSON.stringify({ fit, recall });
    const { recalledMs } = (await page.evaluate(`ask(made(), ${told})`)) as { recalledMs: number };
    return { ...timed, recalledMs, workerMegabytes: usedSize / 1e6 };
  } finally {
    await browser.close();
  }
}
