import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { launch, openWindow, sees } from './browser.ts';
import { TestServer } from './server.ts';

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
});
