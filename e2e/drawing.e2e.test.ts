import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, choose, click, goOn, launch, openWindow, sees, tabTo, textOf } from './browser.ts';
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

const drawn = (page: Page) => page.waitForSelector('[data-part]', { timeout: 20_000 });
const FIRST = 'section[aria-label="Suspects"] li span';
/** A finger on a terminal: what it meets there is the target that was drawn for it. */
const tap = async (page: Page, node: string): Promise<void> => {
  const target = await page.waitForSelector(`circle[data-node="${node}"]`);
  await target!.evaluate((e) => e.dispatchEvent(new MouseEvent('click', { bubbles: true })));
};
const enter = async (page: Page, node: string): Promise<void> => {
  const target = await page.waitForSelector(`circle[data-node="${node}"]`);
  await target!.evaluate((e) => (e as SVGElement).focus());
  await page.keyboard.press('Enter');
};

describe('the wiring of a machine', () => {
  it('a fault is found from the drawing alone: two taps a probe, on a phone', async () => {
    const { page, faults, context } = await openWindow(browser, { width: 390, height: 844 });
    await go(page, '/jobs/launch-1/trace');
    const measure = async (put: (node: string) => Promise<void>, red: string, black: string, reads: string) => {
      await click(page, 'link', 'Wiring: where the leads go');
      await drawn(page);
      await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('[role=radio]')]
          .find((e) => e.innerText.includes('coil on'))!
          .click(),
      );
      await click(page, 'button', 'Probe');
      await sees(page, 'Tap the terminal for the red lead.');
      await put(red);
      await sees(page, 'Now tap where the black lead goes.');
      await put(black);
      await sees(page, 'Your own: the model says what it should read.');
      await page.waitForSelector('#reading');
      await page.focus('#reading');
      await page.keyboard.type(reads);
      await page.keyboard.press('Enter');
      await page.waitForFunction(() => !(document.querySelector('#reading') as HTMLInputElement | null)?.value);
    };
    await measure((node) => tap(page, node), 'coil-', 'plate', '9,4');
    await measure((node) => tap(page, node), 'coil+', 'coil-', '0.9');
    await measure((node) => enter(page, node), 'points', 'plate', '9.3 V');
    await page.waitForFunction(
      (first) => document.querySelector<HTMLElement>(first)?.innerText.includes('Points'),
      { timeout: 20_000 },
      FIRST,
    );
    expect(await textOf(page, FIRST)).toMatch(/Points/);
    // What was read stands on the drawing, and the leading suspect is one press away.
    await click(page, 'link', 'Wiring: where the leads go');
    await drawn(page);
    await page.waitForFunction(() => document.querySelectorAll('[data-taken]').length >= 3, { timeout: 20_000 });
    const lead = await page.waitForSelector('xpath///button[contains(., "With the leading suspect")]');
    await lead!.evaluate((b) => (b as HTMLElement).click());
    await page.waitForSelector('[data-part=points][aria-label*="shown as failed"]');
    expect(faults).toEqual([]);
    await context.close();
  });
  it('by keyboard: along the wires, a fault shown beside what was, and said', async () => {
    const { page, faults, context } = await openWindow(browser);
    await go(page, '/machines/grey-saloon/drawing');
    await drawn(page);
    await tabTo(page, /^Fuse/);
    await page.keyboard.press('ArrowRight');
    const focus = () => page.evaluate(() => document.activeElement?.getAttribute('data-part'));
    expect(await focus()).toBe('switch');
    await page.keyboard.press('ArrowLeft');
    expect(await focus()).toBe('fuse');
    await page.keyboard.press('Enter');
    const panel = 'section[aria-label="What is drawn"]';
    await page.waitForFunction((p) => document.querySelector(`${p} h2`)?.textContent === 'Fuse', {}, panel);
    await choose(page, `${panel} [role=combobox]`, 'fuse.blown');
    await page.waitForSelector('[data-part=fuse][aria-label*="shown as failed"]');
    await page.waitForSelector('[data-part=coil][aria-label*="now 0 A"]');
    // All of it stands in the address: a reload shows the same.
    await page.reload();
    await page.waitForSelector('[data-part=coil][aria-label*="now 0 A"]', { timeout: 20_000 });
    expect(await textOf(page, panel)).toMatch(/wires read otherwise/);
    // What an address names and nobody has is passed over.
    await go(page, '/machines/grey-saloon/drawing?trail=none&state=none&fault=none&bad=none&part=none');
    await page.waitForSelector('[data-part=coil][aria-label^="Coil, "]', { timeout: 20_000 });
    expect(faults).toEqual([]);
    await context.close();
  });
  it('prints on one page, whole, with the machine’s name and its state', async () => {
    const { page, faults, context } = await openWindow(browser);
    await go(page, '/machines/harbour-launch/drawing?state=cranking');
    await drawn(page);
    const printed = await page.pdf({ preferCSSPageSize: true });
    const text = Buffer.from(printed).toString('latin1');
    expect(text.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
    // While it prints, all of the drawing is in its window.
    const whole = await page.evaluate(() => {
      dispatchEvent(new Event('beforeprint'));
      const svg = document.querySelector<SVGSVGElement>('#wiring')!;
      const [, , width, height] = svg.getAttribute('viewBox')!.split(' ').map(Number);
      const within = width! >= Number(svg.dataset['width']) && height! >= Number(svg.dataset['height']);
      dispatchEvent(new Event('afterprint'));
      return within && document.body.textContent.includes('Harbour launch · Cranking · when well');
    });
    expect(whole).toBe(true);
    await page.waitForFunction(() => !document.querySelector('#wiring')!.hasAttribute('viewBox'));
    expect(faults).toEqual([]);
    await context.close();
  });
  it.each([
    ['light', 1280, 800],
    ['dim', 390, 844],
  ] as const)('%s: nothing for axe to say, nothing beside the screen', async (theme, width, height) => {
    const { page, faults, context } = await openWindow(browser, { theme, width, height });
    await go(page, '/machines/orchard-tractor/drawing');
    await drawn(page);
    expect(await axe(page)).toEqual([]);
    const table = await page.waitForSelector('xpath///summary[contains(., "The same as a table")]');
    await table!.evaluate((e) => (e as HTMLElement).click());
    await sees(page, 'Joined to');
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= innerWidth)).toBe(true);
    expect(faults).toEqual([]);
    await context.close();
  });
});
