import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { launch, openWindow } from '../../e2e/browser.ts';
import { TestServer } from '../../e2e/server.ts';
import { ask, rounded } from './client.ts';
import { writeShop } from './fill.ts';

export interface Offline {
  entered: number;
  there: number;
  once: boolean;
  secondsUntilAllAreUp: number;
}

/** Enters readings with the server down, closes the page, opens it again with the server up, and counts. */
export async function offline(readings: number): Promise<Offline> {
  const server = new TestServer();
  const url = await server.start();
  const browser = await launch();
  const { page, context } = await openWindow(browser);
  await page.goto(`${url}/jobs/tractor-1/trace?check=battery-rest`, { waitUntil: 'networkidle2' });
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.waitForSelector('#reading');
  await server.stop('SIGKILL');
  const texts = Array.from({ length: readings }, (_, i) => (6 + i / 1000).toFixed(3));
  for (const text of texts) {
    await page.goto(`${url}/jobs/tractor-1/trace?check=battery-rest`);
    await page.waitForSelector('#reading');
    await page.type('#reading', text);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => !location.search.includes('battery-rest'));
  }
  await page.close();
  const again = await context.newPage();
  await again.goto(`${url}/`);
  await server.start();
  const started = performance.now();
  const typed = async () => {
    const { text } = await ask(`${url}/api/jobs/tractor-1`);
    const { events } = JSON.parse(text) as { events: { reading?: { typed: string } }[] };
    return events.flatMap((e) => (e.reading && texts.includes(e.reading.typed) ? [e.reading.typed] : []));
  };
  while ((await typed()).length < readings && performance.now() - started < 120_000)
    await new Promise((later) => setTimeout(later, 200));
  const seconds = (performance.now() - started) / 1000;
  const there = await typed();
  await browser.close();
  await server.remove();
  return {
    entered: readings,
    there: new Set(there).size,
    once: there.length === new Set(there).size,
    secondsUntilAllAreUp: rounded(seconds),
  };
}

export interface Paint {
  openJobs: number;
  slowdown: number;
  /** Until every bay in view shows its machine and complaint, milliseconds from the navigation. */
  firstUsefulMs: number;
  /** The same a second time, from the browser's own copy. */
  againMs: number;
  firstRouteKb: number;
}

/** First useful paint of the bays on a slow phone's processor. */
export async function paint(openJobs: number, slowdown: number): Promise<Paint> {
  const folder = mkdtempSync(join(tmpdir(), 'pondu-paint-'));
  const server = new TestServer({ PONDU_LOAD: folder });
  await writeShop(join(folder, 'a.pondu.json'), { machines: openJobs, jobs: openJobs, readings: openJobs * 10 });
  const url = await server.start();
  // A shop that is in use: its bays have been worked out before.
  await ask(`${url}/api/jobs?stage=open&limit=${openJobs}`);
  for (;;) {
    const { rows } = JSON.parse((await ask(`${url}/api/jobs?stage=open&limit=${openJobs}`)).text) as {
      rows: { summary: unknown }[];
    };
    if (rows.every((r) => r.summary)) break;
    await new Promise((later) => setTimeout(later, 500));
  }
  const browser = await launch();
  const { page } = await openWindow(browser, { width: 390, height: 844 });
  const client = await page.createCDPSession();
  await client.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
  let bytes = 0;
  await client.send('Network.enable');
  const scripts = new Set<string>();
  client.on('Network.responseReceived', (e) => {
    if (e.type === 'Script') scripts.add(e.requestId);
  });
  client.on('Network.loadingFinished', (e) => {
    if (scripts.has(e.requestId)) bytes += e.encodedDataLength;
  });
  const once = async () => {
    await page.goto(`${url}/`, { waitUntil: 'domcontentloaded' });
    await page.waitForFunction(() => document.querySelectorAll('li.card h2').length >= 3, { polling: 'raf' });
    return page.evaluate(() => performance.now());
  };
  const firstUsefulMs = await once();
  await page.waitForNetworkIdle({ idleTime: 500, concurrency: 1 });
  const firstRouteKb = bytes / 1024;
  const againMs = await once();
  await browser.close();
  await server.remove();
  rmSync(folder, { recursive: true, force: true });
  return {
    openJobs,
    slowdown,
    firstUsefulMs: rounded(firstUsefulMs, 0),
    againMs: rounded(againMs, 0),
    firstRouteKb: rounded(firstRouteKb),
  };
}
