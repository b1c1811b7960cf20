import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, choose, click, goOn, launch, named, openWindow, sees, textOf, type } from './browser.ts';
import { Player, traceToVerdict } from './player.ts';
import { TestServer } from './server.ts';

const server = new TestServer();
let url: string;
const go = goOn(() => url);
let browser: Browser;
beforeAll(async () => {
  url = await server.start();
  browser = await launch();
});
afterAll(async () => {
  await browser.close();
  await server.remove();
});

/** Picks the option of this text in the field of this label. */
const pick = (page: Page, label: string, option: string): Promise<void> =>
  choose(page, named('combobox', label), option);
/** The button that says so, once it is there; a window behind another one is pressed all the same. */
const press = async (page: Page, text: string): Promise<void> => {
  const found = await page.waitForSelector(`xpath///button[contains(., "${text}")]`);
  await found!.evaluate((b) => (b as HTMLButtonElement).click());
};
const CARD = 'section[aria-label="Check"]';
const FIRST = 'section[aria-label="Suspects"] li span';
const first = (page: Page) => textOf(page, FIRST);

describe('a job by leads put anywhere', () => {
  it('three voltages that no list has name the points, on a phone; a reload keeps what was picked', async () => {
    const { page, faults, context } = await openWindow(browser, { width: 390, height: 844 });
    await go(page, '/jobs/launch-1/trace');
    await page.waitForSelector(CARD);
    const open = async () => {
      const summary = await page.waitForSelector('xpath///summary[contains(., "Probe anywhere")]');
      await summary!.focus();
      await page.keyboard.press('Enter');
    };
    const put = async (live: string, earth: string, reads: string) => {
      await pick(page, 'While', 'key on, points closed');
      await pick(page, 'Live lead on', live);
      await pick(page, 'Other lead on', earth);
      await click(page, 'button', 'Show what it should read');
      await page.waitForFunction(
        (name) => document.querySelector('section[aria-label="Check"] h2')?.textContent === name,
        { timeout: 20_000 },
        `${live} to ${earth}`,
      );
      await sees(page, 'Your own: the model says what it should read.');
      await page.focus('#reading');
      await page.keyboard.type(reads);
      await page.keyboard.press('Enter');
      await page.waitForFunction(() => !(document.querySelector('#reading') as HTMLInputElement | null)?.value);
    };
    await open();
    await click(page, 'button', 'Show what it should read');
    await sees(page, 'Pick where the live lead goes.');
    await pick(page, 'Live lead on', 'coil −');
    await page.reload();
    await open();
    const field = await page.waitForSelector(named('combobox', 'Live lead on'));
    expect(await field!.evaluate((e) => e.textContent)).toBe('coil −');
    await put('coil −', 'the points base plate', '9,4');
    await put('coil +', 'coil −', '0.9');
    await put('the terminal at the points', 'the points base plate', '9.3 V');
    await page.waitForFunction(
      () =>
        document.querySelector('section[aria-label="Suspects"] li')?.textContent?.startsWith('Points burnt or dirty'),
      { timeout: 20_000 },
    );
    expect(await first(page)).toContain('Points');
    await page.focus('#log');
    await page.keyboard.press('Enter');
    await sees(page, 'coil − to the points base plate');
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
    await context.close();
  });
});

describe('what was done the day before', () => {
  it('leads off for cleaning, two put back wrong: recognised from what was written, traced and called', async () => {
    const { page, faults } = await openWindow(browser);
    await go(page, '/new?machine=grey-saloon');
    await press(page, 'Cranks, will not fire');
    await press(page, 'All the time');
    await type(page, 'Done just before (recent parts are suspects)', 'plug leads off, cleaned and put back');
    await press(page, '“plug leads”');
    await sees(page, 'off, moved or set');
    await click(page, 'button', 'Open the job');
    await page.waitForFunction(() => /\/jobs\/[^/]+\/look/.test(location.pathname));
    await go(page, `${await page.evaluate(() => location.pathname.replace(/look$/, 'trace'))}`);
    expect(await traceToVerdict(page, new Player('saloon', ['lead-order.swapped'], 17), 30)).toBe(
      'Enough: put the leads in firing order',
    );
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
  });
  it('a neighbour’s word: what else the key feeds is dead too, and the feed is suspected before a meter comes out', async () => {
    const { page, faults } = await openWindow(browser);
    await go(page, '/jobs/tractor-1/trace?check=neighbour-switched');
    await page.waitForSelector('[data-reading] [role=radio]');
    expect(await first(page)).not.toMatch(/Fuse|Feed|[Ss]witch/);
    await press(page, 'dead');
    await click(page, 'button', 'Save reading');
    await page.waitForFunction(
      (at) => /Fuse|Feed|[Ss]witch/.test(document.querySelector(at)?.textContent ?? ''),
      {},
      FIRST,
    );
    expect(faults).toEqual([]);
  });
});
