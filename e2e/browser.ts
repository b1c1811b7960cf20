import { understands } from './understands.ts';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { expect, inject, onTestFailed } from 'vitest';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

export const launch = (more: readonly string[] = []): Promise<Browser> =>
  puppeteer.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      ...more,
    ],
  });

const POLL_MS = 100;

export interface Options {
  theme?: 'light' | 'dim';
  width?: number;
  height?: number;
  /** Somebody at the window who understands each caution as it comes, so that a test need not press for it. */
  understood?: boolean;
}

/** What stands on a page, for whoever reads why a test failed. */
async function standing(page: Page): Promise<string> {
  const seen = page.evaluate(() => {
    const typed = [...document.querySelectorAll<HTMLInputElement>('input, select, textarea')].map(
      (e) => `${e.id || e.name || e.type}=${e.value}`,
    );
    const focus = document.activeElement?.outerHTML.slice(0, 120) ?? 'nothing';
    const state = `${document.visibilityState}, ${document.hasFocus() ? 'focused' : 'not focused'}, on ${focus}`;
    return [location.href, state, typed.join(' '), document.body.innerText.slice(0, 3000)].join('\n');
  });
  return Promise.race([seen, new Promise<string>((done) => setTimeout(done, 3000, 'It does not answer.'))]);
}

/** A window of its own profile, so that drafts do not leak between tests. Errors on the page fail the test. */
export async function openWindow(
  browser: Browser,
  { theme = 'light', width = 1280, height = 800, understood = true }: Options = {},
) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  // A page that draws no frames for a while is asked all the same.
  const wait = page.waitForFunction.bind(page);
  page.waitForFunction = ((fn, how = {}, ...args) =>
    wait(fn, { polling: POLL_MS, ...how }, ...args)) as Page['waitForFunction'];
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e instanceof Error ? e.message : String(e)));
  page.on('console', (m) => {
    // A refusal by the server is logged by the browser itself; it is what some tests are about.
    if (m.type() === 'error' && !/status of 4\d\d/.test(m.text())) faults.push(m.text());
  });
  // The benches open windows too, outside of any test.
  if (expect.getState().currentTestName)
    onTestFailed(async () => {
      if (!page.isClosed()) console.error([...faults, await standing(page).catch(String)].join('\n'));
    });
  await page.setViewport({ width, height });
  await page.evaluateOnNewDocument((t) => localStorage.setItem('pondu.theme', t), theme);
  if (understood) await page.evaluateOnNewDocument(understands);
  return { page, faults, context };
}

export const go = async (page: Page, path: string): Promise<void> => {
  await page.goto(inject('url') + path, { waitUntil: 'networkidle2' });
};
/** The same on a server of one's own: what a test writes down there no other test finds. */
export const goOn =
  (url: () => string) =>
  async (page: Page, path: string): Promise<void> => {
    await page.goto(url() + path, { waitUntil: 'networkidle2' });
  };

/** By role and accessible name, as a reader of the screen would find it. */
export const named = (role: string, name: string): string => `::-p-aria([name="${name}"][role="${role}"])`;
/**
 * A button or a link is pressed where it stands in the page, wherever a late line of text has moved it to, and sought
 * again where the page was drawn anew meanwhile; the rest is clicked.
 */
export const click = async (page: Page, role: string, name: string): Promise<void> => {
  const found = page.locator(named(role, name)).setWaitForEnabled(true);
  if (role !== 'button' && role !== 'link') return found.click();
  for (;;) {
    const handle = await found.waitHandle();
    const pressed = await handle.evaluate((e) => {
      if (!(e instanceof HTMLElement) || !e.isConnected || e.matches(':disabled')) return false;
      e.focus();
      e.click();
      return true;
    });
    if (pressed) return;
  }
};
/**
 * Picks an option of a list that opens, by its value or its text, with the keys: a window behind another one draws no
 * frames in which something could be clicked.
 */
export const choose = async (page: Page, list: string, option: string): Promise<void> => {
  const press = (e: Element, key: string) => {
    (e as HTMLElement).focus();
    e.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
  };
  const trigger = await page.waitForSelector(list);
  await trigger!.evaluate(press, 'Enter');
  await page.waitForFunction(
    (wanted) =>
      [...document.querySelectorAll<HTMLElement>('[role=option]')].some(
        (o) => o.dataset['value'] === wanted || o.textContent === wanted,
      ),
    { timeout: 20_000 },
    option,
  );
  const all = await page.$$('[role=option]');
  for (const one of all)
    if (await one.evaluate((o, w) => (o as HTMLElement).dataset['value'] === w || o.textContent === w, option))
      await one.evaluate(press, 'Enter');
  await page.waitForFunction(() => document.querySelector('[role=option]') === null);
};
export const type = async (page: Page, name: string, text: string): Promise<void> => {
  await page.locator(named('textbox', name)).fill(text);
};
export const sees = async (page: Page, text: string): Promise<void> => {
  await page.waitForFunction((t) => document.body.innerText.includes(t), { timeout: 20_000 }, text);
};
export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (e) => (e as HTMLElement).innerText);

export interface Violation {
  id: string;
  nodes: string[];
}
export async function axe(page: Page): Promise<Violation[]> {
  await page.evaluate(`${axeSource};0`);
  return page.evaluate(async () => {
    // @ts-expect-error axe is put on the page above
    const { violations } = await window.axe.run(document, { resultTypes: ['violations'] });
    return violations.map((v: { id: string; nodes: { html: string; failureSummary: string }[] }) => ({
      id: v.id,
      nodes: v.nodes.slice(0, 3).map((n) => `${n.html.slice(0, 140)} ${n.failureSummary}`),
    }));
  });
}

/** Tabs until the element in focus has this accessible name: what a person without a mouse does. */
export async function tabTo(page: Page, name: string | RegExp, most = 120): Promise<void> {
  for (let i = 0; i < most; i++) {
    await page.keyboard.press('Tab');
    const label = await page.evaluate(() => {
      const e = document.activeElement as HTMLInputElement | null;
      return e?.getAttribute('aria-label') ?? e?.labels?.[0]?.innerText ?? e?.innerText ?? '';
    });
    const first = label.trim().split('\n')[0] ?? '';
    if (typeof name === 'string' ? first === name : name.test(first)) return;
  }
  throw new Error(`Tab never reached ${name}`);
}

/** Another job on the machine of one of the demo's, with the same complaint: nobody has touched it yet. */
export async function another(url: string, job: string): Promise<string> {
  const asked = await fetch(`${url}/api/jobs/${job}`);
  const { machineId, job: body } = (await asked.json()) as { machineId: string; job: { complaint: object } };
  const made = await fetch(`${url}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ machineId, complaint: body.complaint }),
  });
  return ((await made.json()) as { id: string }).id;
}
