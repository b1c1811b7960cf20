import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, click, launch, openWindow, sees } from './browser.ts';
import { TestServer } from './server.ts';

describe('a sheet to take along', () => {
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

  it('fits one page, stays what it was until it is typed in, and goes up in one go', async () => {
    const { page, faults, context } = await openWindow(browser);
    await page.goto(`${url}/jobs/saloon-2/trace`);
    await click(page, 'link', 'Sheet to take along: the next checks with boxes, on one page');
    await page.waitForSelector('section[aria-label="Sheet"] li');
    const labels = () => page.$$eval('form[aria-label="What was read"] label', (all) => all.map((l) => l.textContent));
    const first = await labels();
    expect(first).toHaveLength(6);
    expect(await axe(page)).toEqual([]);
    const paper = Buffer.from(await page.pdf({ format: 'A4' })).toString('latin1');
    expect(paper.match(/\/Type\s*\/Page\b/g)).toHaveLength(1);

    // One of them is told by a word, one box is left empty, and a reload loses nothing.
    const list = 'form[aria-label="What was read"] [role=combobox]';
    await page.focus(list);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[role=option]');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Enter');
    const word = await page.waitForFunction(
      (at) => document.querySelector<HTMLButtonElement>(at)?.value,
      { timeout: 20_000 },
      list,
    );
    const told = await word.jsonValue();
    await page.reload();
    await page.waitForSelector('section[aria-label="Sheet"] li');
    expect(await labels()).toEqual(first);
    const before = await readings();
    await click(page, 'button', 'Save what was read');
    // What is saved is off the sheet, and the next six stand there.
    await page.waitForFunction(
      (old) =>
        document.querySelectorAll('form[aria-label="What was read"] label').length > 0 &&
        [...document.querySelectorAll('form[aria-label="What was read"] label')].map((l) => l.textContent).join() !==
          old,
      {},
      first.join(),
    );
    const after = await readings();
    expect(after.length).toBe(before.length + 1);
    expect(after.at(-1)!.value).toEqual({ kind: 'word', word: told });
    expect(faults).toEqual([]);
    await context.close();
  });

  it('on a phone nothing is wider than the screen', async () => {
    const { page, context } = await openWindow(browser, { width: 390, height: 844, theme: 'dim' });
    await page.goto(`${url}/jobs/van-2/sheet`);
    await sees(page, 'Typed in afterwards');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    expect(await axe(page)).toEqual([]);
    await context.close();
  });

  async function readings() {
    const { events } = (await (await fetch(`${url}/api/jobs/saloon-2`)).json()) as {
      events: { type: string; reading?: { value: unknown } }[];
    };
    return events.flatMap((e) => (e.type === 'reading' ? [e.reading!] : []));
  }
});
