import { launch, openWindow } from '../../e2e/browser.ts';
import { TestServer } from '../../e2e/server.ts';
import { ask, quantile, rounded } from './client.ts';

export interface Tabs {
  tabs: number;
  readings: number;
  there: number;
  /** From Enter to the next check on the screen, in the tab in front while the others are open. */
  readingMs: { p50: number; p95: number };
  /** What a plain call of the page's own waits meanwhile, milliseconds. */
  callP95Ms: number;
}

/** Many tabs of one browser on one shop: what a reading and a call take in the one that is used. */
export async function tabs(many: number, readings: number): Promise<Tabs> {
  const server = new TestServer();
  const url = await server.start();
  const browser = await launch();
  const { page, context } = await openWindow(browser);
  for (let n = 1; n < many; n++) {
    const tab = await context.newPage();
    await tab.goto(`${url}/${n % 2 ? 'machines' : 'jobs/van-2/trace'}`, { waitUntil: 'domcontentloaded' });
    await tab.waitForSelector('h1');
  }
  await page.bringToFront();
  await page.goto(`${url}/jobs/tractor-1/trace?check=battery-rest`);
  await page.waitForSelector('#reading');
  const [entered, called]: [number[], number[]] = [[], []];
  const texts = Array.from({ length: readings }, (_, i) => (6 + i / 1000).toFixed(3));
  for (const text of texts) {
    await page.goto(`${url}/jobs/tractor-1/trace?check=battery-rest`);
    await page.waitForSelector('#reading');
    await page.type('#reading', text);
    const started = performance.now();
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => !location.search.includes('battery-rest'), { polling: 'raf' });
    entered.push(performance.now() - started);
    called.push(
      await page.evaluate(async () => {
        const asked = performance.now();
        await (await fetch('/api/health')).text();
        return performance.now() - asked;
      }),
    );
  }
  const { text } = await ask(`${url}/api/jobs/tractor-1`);
  const { events } = JSON.parse(text) as { events: { reading?: { typed: string } }[] };
  const there = new Set(events.flatMap((e) => e.reading?.typed ?? []));
  await browser.close();
  await server.remove();
  return {
    tabs: many,
    readings,
    there: texts.filter((t) => there.has(t)).length,
    readingMs: { p50: rounded(quantile(entered, 0.5), 0), p95: rounded(quantile(entered, 0.95), 0) },
    callP95Ms: rounded(quantile(called, 0.95)),
  };
}
