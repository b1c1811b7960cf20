import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launch, openWindow, sees } from './browser.ts';
import { TestServer } from './server.ts';
import { understands } from './understands.ts';

/** More tabs than a browser opens connections to one host. */
const TABS = 9;

describe('many tabs of one browser', () => {
  const server = new TestServer();
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    url = await server.start();
    browser = await launch();
  });
  afterAll(async () => {
    await browser.close();
    await server.remove();
  });

  it('are all served, and the last of them still writes a reading down', async () => {
    const first = await openWindow(browser);
    await first.page.goto(`${url}/jobs/van-2/trace`);
    await first.page.waitForSelector('ol[aria-label="Trail"]');
    for (let n = 1; n < TABS; n++) {
      const tab = await first.context.newPage();
      await tab.goto(`${url}/machines`);
      await sees(tab, 'Machines');
    }
    await first.page.bringToFront();
    await first.page.goto(`${url}/jobs/van-2/trace?check=battery-rest`);
    await first.page.waitForSelector('#reading');
    await first.page.type('#reading', '12.5');
    await first.page.keyboard.press('Enter');
    await first.page.waitForFunction(() => !location.search.includes('battery-rest'));
    const response = await fetch(`${url}/api/jobs/van-2`);
    const { events } = (await response.json()) as { events: { reading?: { checkId: string } }[] };
    expect(events.some((e) => e.reading?.checkId === 'battery-rest')).toBe(true);
  });

  it('two of them without a signal on one job: both readings go up, each once', async () => {
    const { page, context } = await openWindow(browser);
    const other = await context.newPage();
    await other.evaluateOnNewDocument(understands);
    const at = async (tab: Page, check: string) => {
      await tab.bringToFront();
      await tab.goto(`${url}/jobs/roadster-2/trace?check=${check}`);
      await tab.waitForSelector('#reading');
    };
    await at(page, 'battery-rest');
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await at(other, 'switch-volts');
    await server.stop('SIGKILL');
    for (const [tab, text] of [
      [other, '11.71'],
      [page, '12.47'],
    ] as const) {
      await tab.bringToFront();
      await tab.type('#reading', text);
      await tab.keyboard.press('Enter');
      await tab.waitForFunction((t) => document.querySelector<HTMLInputElement>('#reading')?.value !== t, {}, text);
    }
    await server.start();
    const typed = async (): Promise<string[]> => {
      const response = await fetch(`${url}/api/jobs/roadster-2`);
      const { events } = (await response.json()) as { events: { reading?: { typed: string } }[] };
      return events.flatMap((e) => e.reading?.typed ?? []).filter((t) => t === '11.71' || t === '12.47');
    };
    await expect.poll(typed, { timeout: 60_000, interval: 500 }).toHaveLength(2);
    expect(new Set(await typed()).size).toBe(2);
    await context.close();
  });
  it('one closed in the middle of an entry has it in its box when it is opened again; back brings no second one', async () => {
    const { page, context } = await openWindow(browser);
    const path = `${url}/jobs/saloon-1/trace?check=battery-rest`;
    await page.goto(path);
    await page.waitForSelector('#reading');
    await page.type('#reading', '12.53');
    await page.close();
    const again = await context.newPage();
    await again.evaluateOnNewDocument(understands);
    await again.goto(`${url}/machines`);
    await again.goto(path);
    await again.waitForSelector('#reading');
    expect(await again.$eval('#reading', (e) => (e as HTMLInputElement).value)).toBe('12.53');
    await again.focus('#reading');
    await again.keyboard.press('Enter');
    await again.waitForFunction(() => !location.search.includes('battery-rest'));
    // The checks of a job are one place: back leaves it, and forward is the trace as it is now.
    await again.goBack();
    await sees(again, 'Machines');
    await again.goForward();
    await again.waitForSelector('section[aria-label="Check"] h2');
    const response = await fetch(`${url}/api/jobs/saloon-1`);
    const { events } = (await response.json()) as { events: { reading?: { typed: string } }[] };
    expect(events.filter((e) => e.reading?.typed === '12.53')).toHaveLength(1);
    await context.close();
  });
});
