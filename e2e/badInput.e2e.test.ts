import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Browser, ElementHandle, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { another, click, go, launch, openWindow, sees, type } from './browser.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

const noteBy = (page: Page) => page.$eval('#reading-note', (e) => (e as HTMLElement).innerText);

describe('bad input', () => {
  it('a reading that cannot be: said by the box, the text kept', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/jobs/saloon-2/trace?check=coil-primary');
    await page.waitForSelector('#reading');
    for (const [text, said] of [
      ['about two', 'cannot be read as a figure'],
      ['1.5 V', 'This check is read in ohms'],
      ['1.5 furlong', 'is not a unit known here'],
      ['-4', 'Ohms are never below zero'],
    ] as const) {
      await page.locator('#reading').fill(text);
      await page.waitForFunction((s) => document.querySelector('#reading-note')?.textContent?.includes(s), {}, said);
      expect(await noteBy(page)).toContain(said);
      expect(await page.$eval('#reading', (e) => (e as HTMLInputElement).value)).toBe(text);
    }
    await page.click('#reading', { count: 3 });
    await page.keyboard.press('Backspace');
    await click(page, 'button', 'Save reading');
    await sees(page, 'Type the reading.');
  });

  it('an absurd value asks about the range, and may stand', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/jobs/saloon-2/trace?check=fuse-volts');
    await page.waitForSelector('#reading');
    await page.type('#reading', '123');
    await click(page, 'button', 'Save reading');
    await sees(page, 'Is the meter on the right range');
    await click(page, 'button', 'Yes, let it stand');
    await page.waitForFunction(() => !location.search.includes('fuse-volts'));
    await page.keyboard.press('l');
    await sees(page, '123 V');
    await sees(page, 'fits nothing well');
  });

  it('a plate band upside down, then a good one that moves the expected reading', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/machines/post-van');
    await click(page, 'button', 'Change Coil: Primary resistance');
    await type(page, 'From, Ω', '5');
    await type(page, 'To, Ω', '4k');
    await type(page, 'To, Ω', '4');
    await click(page, 'button', 'Save the figure');
    await sees(page, 'The band is upside down');
    await type(page, 'From, Ω', '2.9');
    await click(page, 'button', 'Save the figure');
    await sees(page, '2.9–4 Ω');
    await go(page, '/jobs/van-2/trace?check=coil-primary');
    await sees(page, 'when well');
  });

  it('a figure with which no machine is computed is refused; one that came in all the same is named, and mended', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/machines/post-van');
    await click(page, 'button', 'Change Coil: Primary resistance');
    await type(page, 'From, Ω', '0');
    await type(page, 'To, Ω', '0');
    await click(page, 'button', 'Save the figure');
    await sees(page, 'This machine is computed with');
    // A file of an older version may hold one.
    await page.evaluate(async () => {
      const { machine } = (await (await fetch('/api/machines/post-van')).json()) as { machine: object };
      const plates = { 'coil.primaryOhms': { low: 0, high: 0, source: 'manual', note: '' } };
      const complaint = { symptom: 'no-fire', pattern: 'constant' };
      const jobs = [{ id: 'zero-1', complaint, stage: 'trace', openedAt: '2026-01-01T00:00:00Z', events: [] }];
      const machines = [{ id: 'zero', machine: { ...machine, name: 'Zero van', plates }, jobs }];
      await fetch('/api/import', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ format: 'pondu', version: 1, machines }),
      });
    });
    await go(page, '/jobs/zero-1/trace');
    await sees(page, 'primary resistance is given as 0 Ω');
    await go(page, '/machines/zero');
    await sees(page, 'change the figure');
    await click(page, 'button', 'Change Coil: Primary resistance');
    await click(page, 'button', 'Back to typical');
    await page.waitForFunction(() => !document.body.innerText.includes('change the figure'));
    await go(page, '/jobs/zero-1/trace');
    await sees(page, 'Suspects');
    await page.evaluate(() => fetch('/api/machines/zero', { method: 'DELETE', headers: { 'x-pondu': '1' } }));
  });

  it('files that are not ours or half a file change nothing', async () => {
    const { page } = await openWindow(browser);
    const folder = mkdtempSync(join(tmpdir(), 'pondu-files-'));
    await go(page, '/shop');
    const read = async (name: string, content: string) => {
      const path = join(folder, name);
      writeFileSync(path, content);
      const input = (await page.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
      await input.uploadFile(path);
    };
    await read('half.pondu.json', '{"format":"pondu","version":1,"machi');
    await sees(page, 'half.pondu.json: This is not a whole JSON file');
    await read('other.json', '{"recipes":[]}');
    await sees(page, 'This is not a Pondu file');
    await sees(page, 'nothing was changed');
  });

  it('an unknown machine or job is told plainly', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/machines/none');
    await sees(page, 'There is no machine "none"');
    await go(page, '/jobs/none');
    await sees(page, 'There is no job "none"');
    await go(page, '/nowhere');
    await sees(page, 'There is nothing at this address');
  });

  it('a new job without machine, symptom or pattern names each', async () => {
    const { page } = await openWindow(browser);
    await go(page, '/new');
    await click(page, 'button', 'Open the job');
    for (const said of ['Choose a machine, or add it.', 'Choose what it does.', 'Choose when it does it.'])
      await sees(page, said);
  });

  it('cautions stand before the check until understood', async () => {
    const { page } = await openWindow(browser, { understood: false });
    const job = await another(inject('url'), 'launch-1');
    await go(page, `/jobs/${job}/trace?check=spark-coil-lead`);
    await sees(page, 'a road part can blow up the boat');
    expect(await page.$eval('[data-reading] button[type=submit]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
    await click(page, 'button', 'Understood');
    await page.waitForFunction(
      () => !document.querySelector<HTMLButtonElement>('[data-reading] button[type=submit]')!.disabled,
    );
    // It is kept with the job: whoever opens it finds it understood, and in the log by what.
    await page.waitForNetworkIdle();
    await page.reload({ waitUntil: 'networkidle2' });
    await page.waitForSelector('[data-reading] button[type=submit]:not(:disabled)');
    await page.keyboard.press('l');
    await sees(page, 'Understood: high tension');
  });
});
