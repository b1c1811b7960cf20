import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, click, go, launch, openWindow, sees } from './browser.ts';

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

describe.each(['light', 'dim'] as const)('%s', (theme) => {
  it.each(SCREENS)('axe finds nothing on %s', async (path, text) => {
    const { page, faults, context } = await openWindow(browser, { theme, understood: theme === 'light' });
    await go(page, path);
    await sees(page, text);
    await page.waitForFunction(() => !document.querySelector('[role=status] .animate-spin'));
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
    await context.close();
  });
});

describe('at 390 pixels', () => {
  it.each(SCREENS)('%s does not scroll sideways, and its buttons are 48 pixels high', async (path, text) => {
    const { page, context } = await openWindow(browser, { width: 390, height: 844 });
    await go(page, path);
    await sees(page, text);
    const { over, small } = await page.evaluate(() => ({
      over: document.documentElement.scrollWidth - innerWidth,
      small: [
        ...document.querySelectorAll<HTMLElement>(
          'main button, main [role=radio], main input:not([type=checkbox]):not([type=file])',
        ),
      ]
        .filter((e) => e.offsetParent !== null && e.getBoundingClientRect().height < 47.5)
        .map((e) => `${e.tagName} ${e.innerText || e.id} ${Math.round(e.getBoundingClientRect().height)}`),
    }));
    expect(over).toBeLessThanOrEqual(0);
    expect(small).toEqual([]);
    await context.close();
  });
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
