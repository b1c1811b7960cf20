import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { axe, click, go, launch, openWindow, sees } from './browser.ts';
import { understands } from './understands.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

/** Every screen, and a text that is there when it has come up. */
const SCREENS: readonly [string, string][] = [
  ['/', 'Morrowick shared workshop'],
  ['/new', 'Which machine'],
  ['/jobs/launch-1/complaint', 'In the owner’s words'],
  ['/jobs/launch-1/look', 'Suspects'],
  ['/jobs/launch-1/trace?check=coil-feed-closed', 'when well'],
  ['/jobs/launch-1/trace?station=all&check=spark-coil-lead', 'All checks'],
  ['/jobs/pilot-1/trace', 'Suspects'],
  ['/jobs/estate-1/trace', 'Soak test'],
  ['/jobs/pilot-1/yard?check=charge-peak-loaded', 'Measure with'],
  ['/jobs/van-2/repair', 'What is done about it'],
  ['/jobs/saloon-1/repair', 'Why: '],
  ['/jobs/launch-1/set-up', 'Points gap'],
  ['/jobs/van-1/prove', 'What failed must pass'],
  ['/jobs/saloon-1/card', 'Should be'],
  ['/machines', 'Post van'],
  ['/machines/new', 'Compression ratio'],
  ['/machines/grey-saloon', 'Plate values'],
  ['/shop', 'What repairs cost here'],
  ['/nowhere', 'nothing at this address'],
];

/** What is wider than a phone, and what is too low for a thumb. */
const atPhoneWidth = (page: Page) =>
  page.evaluate(() => ({
    over: document.documentElement.scrollWidth - innerWidth,
    small: [
      ...document.querySelectorAll<HTMLElement>(
        'main button, main [role=radio], main input:not([type=checkbox]):not([type=file])',
      ),
    ]
      .filter((e) => e.offsetParent !== null && e.getBoundingClientRect().height < 47.5)
      .map((e) => `${e.tagName} ${e.innerText || e.id} ${Math.round(e.getBoundingClientRect().height)}`),
  }));

it.each(SCREENS)('%s: axe finds nothing, dim and light, and it fits 390 pixels', async (path, text) => {
  const { page, faults, context } = await openWindow(browser, { theme: 'dim', understood: false });
  await go(page, path);
  await sees(page, text);
  await page.waitForFunction(() => !document.querySelector('[role=status] .animate-spin'));
  // Once with its cautions open, and once when they are understood.
  expect(await axe(page)).toEqual([]);
  await page.evaluate(understands);
  await page.evaluate(() => (document.documentElement.dataset['theme'] = 'light'));
  await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'));
  expect(await axe(page)).toEqual([]);
  await page.setViewport({ width: 390, height: 844 });
  await page.waitForFunction(() => innerWidth === 390);
  await page.waitForFunction(() => document.getAnimations().every((a) => a.playState !== 'running'));
  const { over, small } = await atPhoneWidth(page);
  expect(over).toBeLessThanOrEqual(0);
  expect(small).toEqual([]);
  expect(faults).toEqual([]);
  await context.close();
});

it('the keys sheet opens with ? and closes with Escape', async () => {
  const { page } = await openWindow(browser);
  await go(page, '/');
  await page.keyboard.press('?');
  await sees(page, 'Take the next check');
  expect(await axe(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.body.innerText.includes('Take the next check'));
});

it('the trail is walked with the arrow keys, and a station shows its checks', async () => {
  const { page } = await openWindow(browser);
  await go(page, '/jobs/tractor-1/trace');
  await page.waitForSelector('.trail button');
  await page.focus('.trail button');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await sees(page, 'Checks at Wire to coil');
});

it('a job put away is brought back by undo', async () => {
  const { page } = await openWindow(browser);
  await go(page, '/jobs/tractor-1/complaint');
  await click(page, 'button', 'Put the job away');
  await sees(page, 'Job put away.');
  await click(page, 'button', 'Undo');
  await sees(page, 'Orchard tractor');
});
