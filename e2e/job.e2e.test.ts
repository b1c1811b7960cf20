import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { click, goOn, launch, openWindow, sees, tabTo, textOf, type } from './browser.ts';
import { answerCheck, Player, traceToVerdict } from './player.ts';
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

describe('from complaint to card', () => {
  it('with the keyboard alone: the orchard tractor that cranks and will not fire', async () => {
    const { page, faults } = await openWindow(browser);
    const player = new Player('tractor', ['points.burnt'], 11);
    await go(page, '/');
    await sees(page, 'Orchard tractor');
    await page.keyboard.press('n');
    await sees(page, 'Which machine');
    await tabTo(page, 'Search machines');
    await page.keyboard.type('orchard');
    await page.waitForFunction(
      () => document.querySelectorAll('section[aria-label=Machine] [role=radio]').length === 1,
    );
    await tabTo(page, 'Orchard tractor');
    await page.keyboard.press('Space');
    await tabTo(page, 'In the owner’s words');
    await page.keyboard.type('Turns over well and does nothing.');
    // What it sounds like is proposed, and chosen by one key.
    await tabTo(page, 'Cranks, will not fire');
    await page.keyboard.press('Enter');
    await tabTo(page, 'All the time');
    await page.keyboard.press('Space');
    await tabTo(page, 'Open the job');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname.endsWith('/look'));
    await answerCheck(page, player);

    await tabTo(page, 'Trace');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname.endsWith('/trace'));
    const verdict = await traceToVerdict(page, player);
    expect(verdict).toBe('Enough: clean or replace the points, set the gap');
    await tabTo(page, 'Repair it');
    await page.keyboard.press('Enter');
    await sees(page, 'Renew as a set with the condenser');
    await tabTo(page, 'Write down the repair');
    await page.keyboard.press('Enter');
    await sees(page, 'Done so far');
    await sees(page, 'Why: points burnt or dirty');
    await tabTo(page, 'It is age');
    await page.keyboard.press('Enter');
    await sees(page, 'written down');

    player.repaired([]);
    await tabTo(page, 'Go on: set it up');
    await page.keyboard.press('Enter');
    await sees(page, 'Points gap');
    await tabTo(page, 'Found at');
    await page.keyboard.type('8 thou');
    await page.keyboard.press('Tab');
    await page.keyboard.type('0.38mm');
    await page.keyboard.press('Enter');
    await sees(page, 'within the band');
    await tabTo(page, 'Go on: prove it');
    await page.keyboard.press('Enter');
    await sees(page, 'What failed must pass');
    for (
      let i = 0;
      i < 12 && !(await page.evaluate(() => document.body.innerText.includes('Everything is proved.')));
      i++
    ) {
      await proveOne(page, player);
    }
    await tabTo(page, 'Close the job');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => location.pathname.endsWith('/card'));
    await sees(page, 'Clean or replace the points, set the gap');
    const card = await textOf(page, 'article');
    expect(card).toContain('Cause: Age and wear');
    expect(card).toMatch(/left at 0.38 mm/);
    expect(card).not.toContain('still open');

    for (const format of ['a4', 'letter'] as const) {
      const pdf = await page.pdf({ format });
      expect(Buffer.from(pdf.slice(0, 5)).toString()).toBe('%PDF-');
    }
    expect(faults).toEqual([]);
  });

  it('finds a second fault behind the first: the harbour launch', async () => {
    const { page, faults } = await openWindow(browser);
    const player = new Player('launch', ['ballast.open', 'cap.damp'], 51);
    await go(page, '/jobs/launch-1/trace');
    expect(await traceToVerdict(page, player)).toBe('Enough: replace the ballast resistor');
    await click(page, 'link', 'Repair it');
    await click(page, 'button', 'Write down the repair');
    await sees(page, 'Done so far');
    player.repaired(['cap.damp']);
    await click(page, 'button', 'Trace on');
    await page.waitForFunction(() => location.pathname.endsWith('/trace'));
    await sees(page, 'Log:');
    // Something was put right: the engine is asked, and still does not fire.
    await page.waitForSelector('section[aria-label="Check"][aria-busy="false"]');
    expect(await answerCheck(page, player)).toBe('Try it: how does it start and run?: does not fire');
    await page.waitForNetworkIdle({ idleTime: 300 });
    expect(await traceToVerdict(page, player)).toBe('Enough: dry and clean the cap and leads');
    expect(faults).toEqual([]);
  });

  it('at phone width: a reading, its effect, and the log', async () => {
    const { page, faults } = await openWindow(browser, { width: 390, height: 844 });
    await go(page, '/jobs/van-2/trace?check=battery-rest');
    await page.waitForSelector('#reading');
    await page.type('#reading', '12,5');
    await sees(page, 'with what you are typing');
    await click(page, 'button', 'Save reading');
    await page.waitForFunction(() => !location.search.includes('battery-rest'));
    await page.keyboard.press('Escape');
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    // One that somebody chose is left: another is asked for, and the log says so.
    await go(page, '/jobs/van-2/trace?check=points-gap');
    await sees(page, 'Points gap on the high spot');
    await page.waitForSelector('section[aria-label="Check"][aria-busy="false"] h2');
    const next = await textOf(page, 'section[aria-label="Check"] h2');
    await click(page, 'button', 'Cannot tell');
    await page.waitForFunction(
      (old) => (document.querySelector('section[aria-label="Check"] h2') as HTMLElement | null)?.innerText !== old,
      {},
      next,
    );
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('l');
    await sees(page, 'Battery volts, at rest');
    await sees(page, '12.5 V');
    await sees(page, `Could not tell: ${next}`);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    expect(faults).toEqual([]);
  });
});

async function proveOne(page: Page, player: Player): Promise<void> {
  await page.waitForSelector('section[aria-label="Check"] h2');
  const label = await textOf(page, 'section[aria-label="Check"] h2');
  const { text, check } = player.answer(label);
  if (check.words ?? !(await page.$('#reading'))) {
    const radios = await page.$$('[data-reading] [aria-label="What it showed"] [role=radio]');
    for (const radio of radios)
      if ((await radio.evaluate((e) => (e.firstElementChild as HTMLElement).innerText)) === text) await radio.click();
  } else {
    await page.locator('#reading').fill(text);
  }
  await click(page, 'button', 'Save reading');
  await page.waitForFunction(
    (old) =>
      document.body.innerText.includes('Everything is proved.') ||
      (document.querySelector('section[aria-label="Check"] h2') as HTMLElement | null)?.innerText !== old,
    {},
    label,
  );
  await page.waitForNetworkIdle({ idleTime: 250, concurrency: 1 });
}

describe('nothing typed is lost', () => {
  it('a reload keeps the reading, the complaint of a new job and a half-written repair', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/jobs/saloon-2/trace?check=battery-rest');
    await page.waitForSelector('#reading');
    await page.type('#reading', '12.44');
    await page.reload({ waitUntil: 'networkidle2' });
    await page.waitForSelector('#reading');
    expect(await page.$eval('#reading', (e) => (e as HTMLInputElement).value)).toBe('12.44');
    await sees(page, 'with what you are typing');

    await go(page, '/new');
    await type(page, 'Since when', 'since Sunday');
    await page.reload({ waitUntil: 'networkidle2' });
    expect(await page.$eval('::-p-aria([name="Since when"])', (e) => (e as HTMLInputElement).value)).toBe(
      'since Sunday',
    );

    await go(page, '/jobs/saloon-2/repair');
    await type(page, 'In words', 'wiggled the condenser');
    await page.reload({ waitUntil: 'networkidle2' });
    await page.waitForSelector('::-p-aria([name="In words"])');
    expect(await page.$eval('::-p-aria([name="In words"])', (e) => (e as HTMLInputElement).value)).toBe(
      'wiggled the condenser',
    );
  });

  it('two windows on one job do not overwrite one another', async () => {
    const one = await openWindow(browser);
    const two = await openWindow(browser);
    for (const { page } of [one, two]) {
      await go(page, '/jobs/van-1/trace?check=battery-rest');
      await page.waitForSelector('#reading');
    }
    // The second window does not hear of the first one's reading until it tries to save its own.
    await two.page.setRequestInterception(true);
    let deaf = true;
    two.page.on('request', (r) => {
      const news = r.method() === 'GET' && r.url().endsWith('/api/jobs/van-1');
      void (deaf && news ? r.abort() : r.continue());
    });
    await one.page.type('#reading', '12.6');
    await click(one.page, 'button', 'Save reading');
    await one.page.waitForFunction(() => !location.search.includes('battery-rest'));
    await two.page.type('#reading', '11.9');
    await click(two.page, 'button', 'Save reading');
    await sees(two.page, 'Something else changed this job since you opened this');
    expect(await two.page.$eval('#reading', (e) => (e as HTMLInputElement).value)).toBe('11.9');
    // Once it has heard, the same reading goes in beside the other one.
    deaf = false;
    await two.page.reload({ waitUntil: 'networkidle2' });
    await two.page.waitForSelector('#reading');
    await click(two.page, 'button', 'Save reading');
    await two.page.waitForFunction(() => !location.search.includes('battery-rest'));
    await two.page.keyboard.press('l');
    await sees(two.page, '11.9 V');
    await sees(two.page, '12.6 V');
  });

  it('a correction stands beside the reading that it corrects', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/jobs/launch-1/trace');
    await page.waitForSelector('section[aria-label="Check"] h2');
    await page.keyboard.press('l');
    await click(page, 'button', 'Correct Battery volts, at rest');
    await sees(page, 'Correcting an earlier reading');
    await page.type('#reading', '12.31');
    await click(page, 'button', 'Save reading');
    await page.waitForSelector('li.line-through');
    expect(await page.$$eval('li.line-through', (all) => all.length)).toBe(1);
    expect(await textOf(page, 'li.line-through')).toContain('Battery volts, at rest');
  });
});
