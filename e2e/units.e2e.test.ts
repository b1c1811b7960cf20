import type { Browser } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, choose, launch, named, openWindow, sees, textOf } from './browser.ts';
import { TestServer } from './server.ts';

describe('units by habit', () => {
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

  it('chosen in Shop they are shown everywhere and meant by a bare number; one device keeps its own', async () => {
    const { page, faults, context } = await openWindow(browser);
    await page.goto(`${url}/shop`);
    await page.waitForSelector('section[aria-label="Units"]');
    expect(await axe(page)).toEqual([]);
    await choose(page, named('combobox', 'Gaps and small lengths'), 'thou');
    await page.waitForFunction(async () => (await (await fetch('/api/house')).json()).house.units.length === 'thou');

    await page.goto(`${url}/jobs/saloon-2/trace?check=points-gap`);
    await page.waitForSelector('#reading');
    await sees(page, 'thou');
    expect(await textOf(page, 'section[aria-label="Check"]')).toMatch(/when well \d+(\.\d+)?–\d+(\.\d+)? thou/);
    await page.type('#reading', '15');
    await sees(page, '15 thou');
    await page.keyboard.press('Enter');
    await page.waitForFunction(() => !location.search.includes('points-gap'));
    const { events } = (await (await fetch(`${url}/api/jobs/saloon-2`)).json()) as {
      events: { reading?: { checkId: string; typed: string; value: { value: number } } }[];
    };
    const { typed, value } = events.findLast((e) => e.reading?.checkId === 'points-gap')!.reading!;
    expect(typed).toBe('15 thou');
    expect(value.value).toBeCloseTo(0.381e-3, 6);

    // This device goes back to millimetres; the shop and the reading stay as they are.
    await page.goto(`${url}/shop`);
    await page.waitForSelector('section[aria-label="Units"]');
    await choose(page, named('combobox', 'Gaps and small lengths, this device'), 'mm');
    await page.goto(`${url}/jobs/saloon-2/trace?check=points-gap`);
    await page.waitForSelector('#reading');
    expect(await textOf(page, 'section[aria-label="Check"]')).toMatch(/when well 0\.\d+–0\.\d+ mm/);
    expect(faults).toEqual([]);
    await context.close();
  });
});
