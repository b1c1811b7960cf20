import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, choose, click, launch, named, openWindow, sees, textOf } from './browser.ts';
import { TestServer } from './server.ts';

/** More stops than any of these screens has. */
const MOST_STOPS = 400;

/** Goes on with the Tab key until what has the focus is called so. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let k = 0; k < MOST_STOPS; k++) {
    await page.keyboard.press('Tab');
    const called = await page.evaluate(() => {
      const e = document.activeElement as HTMLElement | null;
      const label = e?.id ? document.querySelector(`label[for="${e.id}"]`)?.textContent : '';
      return `${e?.getAttribute('aria-label') ?? ''} ${label} ${e?.textContent ?? ''}`.trim();
    });
    if (name.test(called)) return;
  }
  throw new Error(`The Tab key never came to ${String(name)}`);
}
const moves = async (page: Page, count: number): Promise<void> => sees(page, `Moves: ${count}`);

describe('the practice bench', () => {
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

  it('lesson one with the keyboard alone, from the list to its review', async () => {
    const { page, faults, context } = await openWindow(browser, { understood: false });
    const press = async (name: RegExp) => {
      await tabTo(page, name);
      await page.keyboard.press('Enter');
    };
    await page.goto(`${url}/practice`);
    await sees(page, 'Twelve lessons');
    expect(await axe(page)).toEqual([]);
    await press(/^Begin lesson 1: It turns slowly/);
    await sees(page, 'What will you check?');
    expect(await axe(page)).toEqual([]);
    // Nothing on the page says what is wrong, nor what is suspected.
    expect(await textOf(page, 'main')).not.toMatch(/suspect|likely|%/i);
    await tabTo(page, /^Search checks/);
    await page.keyboard.type('battery volts, at rest');
    await page.waitForFunction(() => document.querySelectorAll('section[aria-label="Checks"] li').length === 1);
    await press(/^Battery volts, at rest/);
    await page.waitForSelector('section[aria-label="Check in hand"]');
    // What would hurt is asked about before it is done.
    await press(/^Understood/);
    await press(/^Do it/);
    await moves(page, 1);
    await sees(page, 'below its band');
    await press(/What was it worth/);
    await sees(page, 'bits were open');
    await press(/^Put right/);
    await page.waitForSelector('[role=option]');
    await page.keyboard.type('Battery: charge');
    await page.waitForFunction(() => document.activeElement?.textContent.startsWith('Battery: charge'));
    await page.keyboard.press('Enter');
    await press(/^Do it: .*€/);
    await moves(page, 2);
    await press(/^Try the engine/);
    await press(/^Understood/);
    await press(/^Do it/);
    await moves(page, 3);
    await press(/^Give it back/);
    await sees(page, 'how it went');
    await sees(page, 'Found: Battery');
    await sees(page, 'Nothing: that is how it is done.');
    expect(await axe(page)).toEqual([]);
    await press(/^To the practice bench/);
    await sees(page, 'found in');
    expect(faults).toEqual([]);
    await context.close();
  });

  it('on a phone, in the dim: a caution that is passed over is refused once, and nothing is wider than the screen', async () => {
    const { page, context } = await openWindow(browser, { width: 390, height: 844, theme: 'dim', understood: false });
    const narrow = async () =>
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.goto(`${url}/practice`);
    await sees(page, 'Twelve lessons');
    await narrow();
    await click(page, 'button', 'Begin lesson 3: No spark at the plug');
    await sees(page, 'What will you check?');
    await narrow();
    await page.locator(named('button', 'Try the engine')).click();
    await page.waitForSelector('section[aria-label="Check in hand"]');
    const doIt = async () =>
      (await page.waitForSelector('::-p-xpath(//button[starts-with(normalize-space(), "Do it")])'))!.click();
    await doIt();
    await sees(page, 'Not done: read the caution first');
    await moves(page, 1);
    await click(page, 'button', 'A hint');
    await sees(page, 'Most speaks for spark.');
    expect(await axe(page)).toEqual([]);
    await click(page, 'button', 'Give it back to its owner');
    await sees(page, 'Not found: Points burnt or dirty.');
    await narrow();
    expect(await axe(page)).toEqual([]);
    await context.close();
  });

  it('a teacher sets the fault and reads along on another device while the learner works', async () => {
    const teacher = await openWindow(browser);
    await teacher.page.goto(`${url}/practice`);
    await choose(teacher.page, named('combobox', 'Machine'), 'grey-saloon');
    await teacher.page.locator('::-p-text(Choose what is wrong)').click();
    await teacher.page.waitForSelector(named('combobox', 'First fault'), { timeout: 60_000 });
    await choose(teacher.page, named('combobox', 'First fault'), 'condenser.shorted');
    await click(teacher.page, 'button', 'Draw it');
    await sees(teacher.page, 'What will you check?');
    const at = teacher.page.url();

    const learner = await openWindow(browser);
    await learner.page.goto(at);
    await sees(learner.page, 'What will you check?');
    await click(learner.page, 'button', 'Since when?');
    await moves(learner.page, 1);
    // He has done nothing himself, and sees it.
    await moves(teacher.page, 1);
    const text = await learner.page.evaluate(() => document.body.innerText);
    expect(text).not.toMatch(/shorted/);
    for (const { faults, context } of [teacher, learner]) {
      expect(faults).toEqual([]);
      await context.close();
    }
  });
});
