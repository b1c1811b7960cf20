import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { another, axe, click, launch, openWindow, sees } from './browser.ts';
import { TestServer } from './server.ts';

/** Its own: what others write on these jobs would be another screen. */
const server = new TestServer();
let url: string;
let browser: Browser;
beforeAll(async () => {
  url = await server.start();
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  await server.remove();
});
const go = (page: Page, path: string) => page.goto(`${url}${path}`);

/** What of the trace lies on the screen as it opens, nothing scrolled. */
const inView = (page: Page) =>
  page.evaluate(() => {
    const { innerHeight, innerWidth } = window;
    const shown = (e: Element | null | undefined) => {
      const box = e?.getBoundingClientRect();
      return (
        box !== undefined && box.height > 0 && box.top >= 0 && box.bottom <= innerHeight && box.right <= innerWidth
      );
    };
    const suspects = [...document.querySelectorAll('section[aria-label="Suspects"] li')];
    return {
      reading: shown(document.querySelector('form[data-reading]')),
      saves: shown(document.querySelector('form[data-reading] button[type=submit]')),
      map: shown(document.querySelector('ol[aria-label="Trail"]')),
      suspect: shown(suspects[0]?.querySelector('span')),
      wide: document.documentElement.scrollWidth > innerWidth,
      cautions: document.querySelector('section[aria-label="Check"] [role=note]') !== null,
      scrolled: scrollY,
    };
  });
/** One answered in words, one with a field, one with a verdict above it, one that comes when hot. */
const JOBS = ['launch-1', 'tender-1', 'lorry-1', 'estate-1'] as const;

describe('without scrolling, with cautions open', () => {
  it.each(JOBS)('%s: map, field, what saves it and the first suspect on a table', async (job) => {
    const { page, faults, context } = await openWindow(browser, { understood: false });
    await go(page, `/jobs/${job}/trace`);
    await page.waitForSelector('form[data-reading]');
    const seen = await inView(page);
    expect(seen).toMatchObject({ reading: true, saves: true, map: true, suspect: true, wide: false, scrolled: 0 });
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
    await context.close();
  });
  it.each(JOBS)('%s: field and what saves it on a phone, nothing beside the screen', async (job) => {
    const { page, faults, context } = await openWindow(browser, { width: 390, height: 844, understood: false });
    await go(page, `/jobs/${job}/trace`);
    await page.waitForSelector('form[data-reading]');
    expect(await inView(page)).toMatchObject({ reading: true, saves: true, map: false, wide: false, scrolled: 0 });
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
    await context.close();
  });
  it('on a phone the map is one line that opens, and the answer is saved under the thumb', async () => {
    const { page, faults, context } = await openWindow(browser, { width: 390, height: 844, understood: false });
    await go(page, '/jobs/tractor-1/trace?check=battery-rest');
    await page.waitForSelector('#reading');
    const line = await page.waitForSelector('button[aria-controls="trail-map"]');
    const expanded = () => line!.evaluate((b) => b.getAttribute('aria-expanded'));
    expect(await expanded()).toBe('false');
    await line!.click();
    expect(await expanded()).toBe('true');
    expect((await inView(page)).map).toBe(true);
    await line!.click();
    await page.type('#reading', '6.2');
    // Cautions are read first: there is nothing to press before.
    if ((await inView(page)).cautions) {
      await sees(page, 'It can be saved once the cautions are understood.');
      await click(page, 'button', 'Understood');
    }
    expect(await inView(page)).toMatchObject({ saves: true, cautions: false });
    await page.click('form[data-reading] button[type=submit]');
    await page.waitForFunction(() => !location.search.includes('battery-rest'));
    expect(faults).toEqual([]);
    await context.close();
  });
  it('a caution that is new on a check stands in full; those understood before in one line', async () => {
    const { page, faults, context } = await openWindow(browser, { understood: false });
    const job = await another(url, 'launch-1');
    await go(page, `/jobs/${job}/trace?check=coil-minus-closed`);
    await page.waitForSelector('section[aria-label="Check"] [role=note]');
    await click(page, 'button', 'Understood');
    await page.waitForFunction(() => !document.querySelector('section[aria-label="Check"] [role=note]'));
    await go(page, `/jobs/${job}/trace?check=spark-every`);
    const full = await page.waitForSelector('section[aria-label="Check"] [role=note]');
    const [asks, quiet] = [
      await full!.evaluate((e) => e.textContent),
      await page.$eval('section[aria-label="Check"] details', (e) => e.textContent),
    ];
    expect(asks).toMatch(/high tension/i);
    expect(asks).not.toMatch(/bilge/i);
    expect(quiet).toMatch(/Mind: marine/);
    expect(faults).toEqual([]);
    await context.close();
  });
});
