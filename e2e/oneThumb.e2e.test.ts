import { INSTRUMENTS } from '@pondu/core';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { launch, named, openWindow, sees, textOf } from './browser.ts';
import { entries, Player } from './player.ts';
import { TestServer } from './server.ts';

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

const MOST = 30;
const CARD = 'section[aria-label="Check"][aria-busy="false"] h2';
const VERDICT = 'section[role="status"] h2';

/** Where something stands on the screen as it is, nothing scrolled. */
const whole = (handle: ElementHandle) =>
  handle.evaluate((e) => {
    const { top, bottom, left, right, height } = e.getBoundingClientRect();
    return height >= 40 && top >= 0 && left >= 0 && bottom <= innerHeight && right <= innerWidth;
  });
/** Taps what a thumb reaches without scrolling. */
async function tap(page: Page, selector: string): Promise<void> {
  const handle = await page.waitForSelector(selector);
  expect(await whole(handle!), `${selector} is on the screen`).toBe(true);
  await handle!.tap();
}
/** The same in a form that is longer than the screen: the thumb pulls it up first, and waits until it stands still. */
const pullUp = (page: Page, selector: string): Promise<void> => page.locator(selector).click();

/** What is called, once what was read has been taken in; a dear part asks for one more check. */
async function called(page: Page): Promise<boolean> {
  await page.waitForSelector(CARD);
  const verdict = await page.$eval(VERDICT, (e) => e.textContent).catch(() => '');
  return verdict.startsWith('Enough');
}

async function answer(page: Page, player: Player): Promise<void> {
  await page.waitForSelector(CARD);
  const { check, text } = player.answer(await textOf(page, CARD));
  const before = await entries(page);
  expect(await page.evaluate(() => scrollY)).toBe(0);
  if (INSTRUMENTS[check.instrument].dimension) {
    await tap(page, '#reading');
    await page.keyboard.type(text);
  } else {
    const words = await page.$$('[data-reading] [aria-label="What it showed"] [role=radio]');
    for (const word of words) {
      const said = await word.$eval('span', (e) => e.innerText);
      if (said !== text) continue;
      // A list of many answers is pulled up within its own box.
      await word.evaluate((e) => e.scrollIntoView({ block: 'nearest' }));
      await word.tap();
    }
  }
  await tap(page, 'form[data-reading] button[type=submit]');
  await page.waitForFunction(
    (n) =>
      document.body.innerText.includes('Yes, let it stand') ||
      Number(document.querySelector('#log')?.textContent?.match(/\d+/)?.[0] ?? 0) > n,
    { timeout: 20_000 },
    before,
  );
  if (await page.evaluate(() => document.body.innerText.includes('Yes, let it stand')))
    await pullUp(page, named('button', 'Yes, let it stand'));
}

it('a job from complaint to repair with one thumb: every field that is asked stands on the screen', async () => {
  const { page, faults } = await openWindow(browser, { width: 390, height: 844 });
  await page.goto(url);
  await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
  const player = new Player('tractor', ['points.burnt'], 11);
  await page.goto(`${url}/new?machine=orchard-tractor`);
  await pullUp(page, named('radio', 'Cranks, will not fire The starter turns it, nothing else happens.'));
  await pullUp(page, named('radio', 'All the time It does it now.'));
  await pullUp(page, named('button', 'Open the job'));
  await page.waitForFunction(() => location.pathname.endsWith('/look'));
  await page.goto(page.url().replace(/look$/, 'trace'));
  let asked = 0;
  for (; asked < MOST && !(await called(page)); asked++) await answer(page, player);
  await sees(page, 'Enough: clean or replace the points, set the gap');
  expect(asked).toBeLessThan(MOST);
  await tap(page, named('link', 'Repair it'));
  await sees(page, 'Renew as a set with the condenser');
  await pullUp(page, named('button', 'Write down the repair'));
  await sees(page, 'Done so far');
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
  expect(faults).toEqual([]);
});
