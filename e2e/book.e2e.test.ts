import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, click, go, launch, named, openWindow, sees, type } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

describe('photos before it comes apart', () => {
  it('taken without a signal on a phone, pinned, they arrive once and print on the card', async () => {
    const { page, faults, context } = await openWindow(browser, { width: 390, height: 844 });
    await go(page, '/jobs/lorry-1/repair');
    await sees(page, 'Photos before it comes apart');
    await page.evaluate(async () => void (await navigator.serviceWorker.ready));
    await page.setOfflineMode(true);
    await sees(page, 'No connection');
    await (await page.waitForSelector('xpath///summary[contains(., "Photos before it comes apart")]'))!.click();
    const input = await page.waitForSelector('input[type=file]');
    const text = join(import.meta.dirname, '../.cache/not-a-picture.jpg');
    writeFileSync(text, 'this is no picture at all, only words');
    await (input as unknown as { uploadFile: (...p: string[]) => Promise<void> }).uploadFile(
      text,
      join(import.meta.dirname, '../scripts/demo/cap.jpg'),
    );
    await sees(page, '“not-a-picture.jpg” is no JPEG, PNG or WebP picture.');
    const picture = await page.waitForSelector('li img');
    await page.waitForFunction(() => (document.querySelector('li img') as HTMLImageElement).naturalWidth > 0);
    await picture!.click({ offset: { x: 60, y: 40 } });
    await type(page, 'What it shows', 'Cap with its leads');
    await type(page, 'Pin 1: wire to terminal, which way it points', 'number one');
    await click(page, 'button', 'Save the words');
    await sees(page, '3 entries wait');
    expect(await axe(page)).toEqual([]);
    await page.setOfflineMode(false);
    await page.waitForFunction(() => !/entr(y|ies) waits?/.test(document.body.innerText), { timeout: 30_000 });
    // Words that nobody has saved yet outlive the tick and a reload.
    await type(page, 'What it shows', 'Cap with its leads, from above');
    await page.locator(named('checkbox', 'On the card')).click();
    // A page left in the middle of a write takes it along: leave it when the server has it.
    await page.waitForFunction(async () => {
      const job = (await (await fetch('/api/jobs/lorry-1')).json()) as { events: { photo?: { onCard: boolean } }[] };
      return job.events.some((e) => e.photo?.onCard);
    });
    await page.reload({ waitUntil: 'networkidle2' });
    const folded = await page.waitForSelector('xpath///summary[contains(., "Photos before it comes apart")]');
    if (!(await folded!.evaluate((f) => (f.parentElement as HTMLDetailsElement).open))) await folded!.click();
    await click(page, 'button', 'Words and pins');
    await page.waitForFunction(() =>
      [...document.querySelectorAll<HTMLInputElement>('input, textarea')].some(
        (i) => i.value === 'Cap with its leads, from above',
      ),
    );
    await page.$$eval('button', (all) => all.find((b) => b.textContent === 'Save the words')!.click());
    await page.waitForFunction(async () => {
      const job = (await (await fetch('/api/jobs/lorry-1')).json()) as {
        events: { photo?: { words: string; onCard: boolean } }[];
      };
      const last = job.events.filter((e) => e.photo).at(-1)!.photo!;
      return last.onCard && last.words === 'Cap with its leads, from above';
    });
    const job = await page.evaluate(
      async () =>
        (await (await fetch('/api/jobs/lorry-1')).json()) as {
          events: { type: string; photo?: { picture: string } }[];
        },
    );
    const photos = job.events.filter((e) => e.type === 'photo');
    expect(new Set(photos.map((p) => p.photo!.picture)).size).toBe(1);
    const kept = await page.evaluate(async (p) => {
      const got = await fetch(`/api/jobs/lorry-1/pictures/${p}`);
      return { type: got.headers.get('content-type'), bytes: (await got.arrayBuffer()).byteLength };
    }, photos[0]!.photo!.picture);
    expect(kept.type).toBe('image/jpeg');
    expect(kept.bytes).toBeGreaterThan(3000);
    await go(page, '/jobs/lorry-1/card');
    // The card asks for everything at once, of a machine that this page has not simulated yet.
    await page.waitForSelector('article', { timeout: 60_000 });
    await sees(page, 'Cap with its leads, from above');
    await sees(page, '1: number one');
    await page.waitForFunction(() => (document.querySelector('article img') as HTMLImageElement).naturalWidth > 0);
    const card = Buffer.from(await page.pdf({ format: 'A4', scale: 1 })).toString('latin1');
    // On paper of A4, the photo with it.
    expect(card).toMatch(/MediaBox \[0 0 59[4-6][.\d]* 84[12][.\d]*\]/);
    expect(card).toMatch(/\/Subtype \/Image/);
    expect(faults.filter((f) => !/ERR_INTERNET_DISCONNECTED/.test(f))).toEqual([]);
    await context.close();
  });
});

describe('the book', () => {
  it('a service is kept in view, a snag moved with the keyboard, and a word of years ago found', async () => {
    const { page, faults, context } = await openWindow(browser);
    await go(page, '/machines/doctors-coupe');
    await sees(page, 'Its book');
    await sees(page, 'Over the years');
    await type(page, 'To be done', 'Brake fluid');
    await click(page, 'button', 'Keep in view');
    await sees(page, 'Say after how many months, or after how much on its meter.');
    await type(page, 'Every, months', '24');
    await click(page, 'button', 'Keep in view');
    await page.locator(named('button', 'Done today: Brake fluid')).wait();
    const snags = () =>
      page.$$eval('section[aria-label="Open snags"] li > span:first-of-type', (all) => all.map((e) => e.textContent));
    expect((await snags())[0]).toBe('Fuel hose cracked at the pump');
    await page.focus('button[aria-label="Move: Thermostat opens late"]');
    await page.keyboard.press('Space');
    await page.waitForFunction(() => /: at place 2 of 3/.test(document.body.textContent ?? ''));
    await page.keyboard.press('ArrowUp');
    await page.waitForFunction(() => /: at place 1 of 3/.test(document.body.textContent ?? ''));
    await page.keyboard.press('Space');
    await page.waitForFunction(
      () =>
        document.querySelector('section[aria-label="Open snags"] li > span:first-of-type')?.textContent ===
        'Thermostat opens late',
    );
    await page.reload({ waitUntil: 'networkidle2' });
    await sees(page, 'Brake fluid');
    expect((await snags())[0]).toBe('Thermostat opens late');
    await page.type('section[aria-label="Book"] input[type=search]', 'grease');
    await page.waitForFunction(() => document.querySelectorAll('section[aria-label="Book"] tbody tr').length === 2);
    expect(await axe(page)).toEqual([]);
    await click(page, 'link', 'Flags to print');
    await sees(page, 'Coil − → Distributor');
    expect(faults).toEqual([]);
    await context.close();
  });
});
