import { createHash, X509Certificate } from 'node:crypto';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it, onTestFinished } from 'vitest';
import { axe, choose, click, launch, openWindow, sees, type } from './browser.ts';
import { TestServer } from './server.ts';

/** A name in the shop's network: not the loopback, and over plain http no secure place. */
const NAME = 'workshop.home';
const ELSEWHERE = 'noticeboard.elsewhere';
const PHONE = { width: 390, height: 844 };

const unseen = (page: Page, text: string) =>
  page.waitForFunction((t) => !document.body.innerText.includes(t), { timeout: 20_000 }, text);
const atAddress = (page: Page, path: string) => page.waitForFunction((p) => location.pathname === p, {}, path);
/** What a device does of itself once it has been shown: everything it needs without a signal is kept. */
const kept = (page: Page) =>
  page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });

async function letIn(page: Page, url: string, key: string, name: string, initials: string, scanned: boolean) {
  await page.goto(scanned ? `${url}/enter.html#${key}` : url, { waitUntil: 'networkidle2' });
  await sees(page, 'Come in');
  if (!scanned) await type(page, 'Shop key', key.toLowerCase());
  await type(page, 'This device', name);
  await type(page, 'Initials of whoever uses it', initials);
  await page.keyboard.press('Enter');
  await atAddress(page, '/');
}
async function readBattery(page: Page, url: string, job: string, text: string) {
  await page.goto(`${url}/jobs/${job}/trace?check=battery-rest`);
  await page.waitForSelector('#reading');
  await page.type('#reading', text);
  await sees(page, 'with what you are typing');
  await click(page, 'button', 'Save reading');
  await page.waitForFunction(() => !location.search.includes('battery-rest'));
}
async function openLog(page: Page) {
  await page.waitForSelector('#log');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  if ((await page.$eval('#log', (e) => e.getAttribute('aria-expanded'))) !== 'true') await page.keyboard.press('l');
  await page.waitForSelector('#log[aria-expanded=true]');
}

describe('in the shop’s network, by https and the shop key', () => {
  const server = new TestServer({ PONDU_DOOR: 'lan', PONDU_NAMES: NAME });
  let url: string;
  let browser: Browser;
  beforeAll(async () => {
    await server.start();
    url = `https://${NAME}:${server.number}`;
    const cert = readFileSync(join(server.folder, 'certificates/server.crt'));
    const key = new X509Certificate(cert).publicKey.export({ type: 'spki', format: 'der' });
    // As a device that has been told to trust the shop's certificate.
    const trusted = createHash('sha256').update(key).digest('base64');
    browser = await launch([
      `--host-resolver-rules=MAP ${NAME} 127.0.0.1`,
      `--ignore-certificate-errors-spki-list=${trusted}`,
    ]);
  });
  afterAll(async () => {
    await browser.close();
    await server.remove();
  });

  it('the sign-in page: axe finds nothing, a wrong key is told by its box', async () => {
    for (const theme of ['light', 'dark'] as const) {
      const { page, context } = await openWindow(browser, PHONE);
      await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: theme }]);
      await page.goto(`${url}/jobs/launch-1`, { waitUntil: 'networkidle2' });
      await atAddress(page, '/enter.html');
      expect(await axe(page)).toEqual([]);
      await type(page, 'Shop key', 'AAAA-AAAA-AAAA-AAAA');
      await type(page, 'This device', 'Guest');
      await type(page, 'Initials of whoever uses it', 'X');
      await page.keyboard.press('Enter');
      await sees(page, 'That is not the shop key.');
      expect(await page.evaluate(() => document.activeElement?.id)).toBe('key');
      await context.close();
    }
  });

  it('two devices work one job through the key, a lost signal and a conflict', async () => {
    const bench = await openWindow(browser);
    const phone = await openWindow(browser, PHONE);
    await letIn(bench.page, url, server.shopKey, 'Bench', 'JM', false);
    await letIn(phone.page, url, server.shopKey, 'Phone', 'AK', true);
    // The key is not left in the address, nor in the history.
    expect(await phone.page.evaluate(() => location.href)).not.toContain(server.shopKey);
    await kept(phone.page);
    await phone.page.goto(`${url}/jobs/van-2/complaint`, { waitUntil: 'networkidle2' });
    await sees(phone.page, 'In the owner’s words');

    // The phone goes where there is no signal, and works on; its page is closed and opened again.
    await phone.page.setOfflineMode(true);
    await sees(phone.page, 'No connection to the workshop');
    await choose(phone.page, 'section[aria-label="Waiting"] [role=combobox]', 'owner');
    await sees(phone.page, '1 entry waits');
    await readBattery(phone.page, url, 'van-2', '12.5');
    await sees(phone.page, '2 entries wait');
    await phone.page.reload();
    await openLog(phone.page);
    await sees(phone.page, 'not in the workshop yet');
    await phone.page.goto(`${url}/shop`);
    await sees(phone.page, 'House rules');

    // Meanwhile the bench writes to the same job.
    await bench.page.goto(`${url}/jobs/van-2/complaint`, { waitUntil: 'networkidle2' });
    await choose(bench.page, 'section[aria-label="Waiting"] [role=combobox]', 'helper');
    // A page that is left in the same moment takes with it what it has not kept yet.
    await bench.page.waitForFunction(
      async () =>
        ((await (await fetch('/api/jobs/van-2')).json()) as { job: { waitsFor: string } }).job.waitsFor === 'helper',
    );
    await readBattery(bench.page, url, 'van-2', '12.2');

    // The signal is back: both readings stand, and what only one of them can be is asked about.
    await phone.page.goto(`${url}/jobs/van-2/trace`);
    await phone.page.setOfflineMode(false);
    await sees(phone.page, '1 entry could not go up as it is');
    await openLog(phone.page);
    for (const page of [phone.page, bench.page]) {
      await openLog(page);
      for (const said of ['12.5 V', '12.2 V', 'AK, Phone', 'JM, Bench']) await sees(page, said);
    }
    await click(phone.page, 'link', 'Show what waits');
    await sees(phone.page, 'waits for: owner');
    await sees(phone.page, 'waits for: helper');
    expect(await axe(phone.page)).toEqual([]);
    await click(phone.page, 'button', 'Take what was entered here');
    await sees(phone.page, 'Nothing waits');
    await bench.page.goto(`${url}/`, { waitUntil: 'networkidle2' });
    await sees(bench.page, 'Waits for the owner');

    // Put out, the phone is told and loses nothing.
    await bench.page.goto(`${url}/shop`, { waitUntil: 'networkidle2' });
    await sees(bench.page, server.shopKey);
    expect(await axe(bench.page)).toEqual([]);
    await click(bench.page, 'button', 'Put out Phone');
    await sees(phone.page, 'This device has not been let in');
    expect(bench.faults).toEqual([]);
  });

  it('the server dies and comes back: it is said, and what was entered goes up once', async () => {
    const { page, context } = await openWindow(browser);
    // Also for another attempt, and for what comes after.
    onTestFinished(async () => {
      if (server.pid === 0) await server.start();
    });
    await letIn(page, url, server.shopKey, 'Tablet', 'TB', true);
    await kept(page);
    await page.goto(`${url}/jobs/tractor-1/trace`, { waitUntil: 'networkidle2' });
    await page.waitForSelector('section[aria-label="Check"]');
    await server.stop('SIGKILL');
    await sees(page, 'No connection to the workshop');
    for (const text of ['6.1', '6.2', '6.3']) await readBattery(page, url, 'tractor-1', text);
    await sees(page, '3 entries wait');
    await page.close();
    const again = await context.newPage();
    await again.goto(`${url}/jobs/tractor-1/trace`);
    await sees(again, '3 entries wait');
    await server.start();
    await unseen(again, 'No connection to the workshop');
    await unseen(again, 'going up');
    const typed = await again.evaluate(async () => {
      const job = (await (await fetch('/api/jobs/tractor-1')).json()) as { events: { reading?: { typed: string } }[] };
      return job.events.map((e) => e.reading?.typed);
    });
    expect(typed.filter((t) => /^6\.[1-3]$/.test(t ?? ''))).toEqual(['6.1', '6.2', '6.3']);
  });

  it('a job is opened without a signal, traced, and is in the workshop when it is back', async () => {
    const { page } = await openWindow(browser, PHONE);
    await letIn(page, url, server.shopKey, 'Roadside', 'RS', true);
    await kept(page);
    await page.goto(`${url}/new`, { waitUntil: 'networkidle2' });
    await sees(page, 'Which machine');
    // Seen once, the machine is at hand.
    await page.goto(`${url}/machines/orchard-tractor`, { waitUntil: 'networkidle2' });
    await sees(page, 'Plate values');
    await page.setOfflineMode(true);
    await page.goto(`${url}/new`);
    await sees(page, 'Which machine');
    await page.locator('::-p-xpath(//button[starts-with(., "Show ")])').click();
    for (const text of ['Orchard tractor', 'Misses', 'When wet'])
      await page.locator(`::-p-xpath(//button[@role="radio"][contains(., "${text}")])`).click();
    await click(page, 'button', 'Open the job');
    await page.waitForSelector('section[aria-label="Check"]');
    const id = /jobs\/([^/]+)/.exec(page.url())![1]!;
    await page.setOfflineMode(false);
    await unseen(page, 'No connection to the workshop');
    await page.waitForFunction(async (j) => (await fetch(`/api/jobs/${j}`)).ok, { polling: 500 }, id);
  });
});

describe('in the shop’s network by plain http', () => {
  const server = new TestServer({ PONDU_DOOR: 'http', PONDU_NAMES: NAME });
  let browser: Browser;
  let url: string;
  beforeAll(async () => {
    await server.start();
    url = `http://${NAME}:${server.number}`;
    browser = await launch([`--host-resolver-rules=MAP ${NAME} 127.0.0.1,MAP ${ELSEWHERE} 127.0.0.1`]);
  });
  afterAll(async () => {
    await browser.close();
    await server.remove();
  });

  it('a phone saves readings, repairs and snags where the browser calls nothing secure', async () => {
    const { page, faults } = await openWindow(browser, PHONE);
    await letIn(page, url, server.shopKey, 'Phone', 'AK', false);
    expect(await page.evaluate(() => isSecureContext)).toBe(false);
    await readBattery(page, url, 'van-2', '12.3');
    await page.goto(`${url}/jobs/van-2/repair`);
    await sees(page, 'What is done about it');
    await type(page, 'In words', 'Dried the cap');
    await click(page, 'button', 'Write down the repair');
    await sees(page, 'Done so far');
    await type(page, 'Add a snag', 'Belt frayed');
    await click(page, 'button', 'Add');
    await sees(page, 'Belt frayed');
    await page.goto(`${url}/shop`);
    await sees(page, 'Without a signal this address does not open');
    const job = await page.evaluate(
      async () => (await (await fetch('/api/jobs/van-2')).json()) as { events: { type: string }[]; snags: object[] },
    );
    expect(job.events.map((e) => e.type)).toEqual(expect.arrayContaining(['reading', 'fix']));
    expect(job.snags.length).toBeGreaterThan(0);
    expect(faults).toEqual([]);
  });

  it('a link from elsewhere opens the job on a device that is in, and asks for the key on one that is not', async () => {
    const board = createServer((_req, res) => {
      res.setHeader('content-type', 'text/html');
      res.end(`<a href="${url}/jobs/van-2/trace?check=battery-rest">The van</a>`);
    }).listen(0, '127.0.0.1');
    await once(board, 'listening');
    const elsewhere = `http://${ELSEWHERE}:${(board.address() as AddressInfo).port}`;
    const { page } = await openWindow(browser, PHONE);
    await page.goto(elsewhere);
    await click(page, 'link', 'The van');
    await sees(page, 'Come in');
    await letIn(page, url, server.shopKey, 'Phone 2', 'AK', false);
    await page.goto(elsewhere);
    await click(page, 'link', 'The van');
    // The cookie is not sent with a step from another site; the page asks again as itself and goes on.
    await atAddress(page, '/jobs/van-2/trace');
    await page.waitForSelector('#reading');
    expect(page.url()).toContain('check=battery-rest');
    board.close();
  });
});
