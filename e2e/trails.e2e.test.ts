import type { Browser, Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { axe, go, launch, openWindow, sees, textOf } from './browser.ts';
import { Player, traceToVerdict } from './player.ts';

let browser: Browser;
beforeAll(async () => {
  browser = await launch();
});
afterAll(() => browser.close());

const tab = (page: Page, name: string) =>
  page.waitForFunction(
    (n) => [...document.querySelectorAll('[role=tab]')].some((t) => (t as HTMLElement).innerText.startsWith(n)),
    {},
    name,
  );
const choose = (page: Page, name: string) =>
  page.$$eval(
    '[role=tab]',
    (all, n) => (all.find((t) => (t as HTMLElement).innerText.startsWith(n)) as HTMLElement).click(),
    name,
  );
const openTab = (page: Page) => textOf(page, '[role=tab][aria-selected="true"]');

describe('one machine, many trails', () => {
  it('a starter that grinds: the feed that it shares with the heater', async () => {
    const { page, faults } = await openWindow(browser);
    await go(page, '/jobs/digger-1/trace');
    await page.waitForSelector('ol[aria-label="Start circuit, into Solenoid"] button');
    expect(await openTab(page)).toContain('Crank');
    expect(await traceToVerdict(page, new Player('digger', ['shared-feed.corroded'], 1))).toBe(
      'Enough: remake the shared feed joints',
    );
    expect(await textOf(page, 'li[data-state="lost here"]')).toContain('Shared feed');
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
  });

  it('will not fire, and turns slowly: begun on the spark line, found on the crank line', async () => {
    const { page, faults } = await openWindow(browser);
    await go(page, '/jobs/roadster-2/trace');
    await tab(page, 'Spark');
    await tab(page, 'Charge');
    await choose(page, 'Spark');
    await page.waitForSelector('ol[aria-label="Trail"] li:nth-child(8)');
    await sees(page, 'Module');
    expect(await traceToVerdict(page, new Player('roadster', ['strap.corroded'], 7))).toBe('Enough: clean and tighten');
    await choose(page, 'Crank');
    expect(await textOf(page, 'li[data-state="lost here"]')).toContain('Engine strap');
    expect(faults).toEqual([]);
  });

  it('flat overnight with two faults: the drain was found, the battery behind it is', async () => {
    const { page, faults } = await openWindow(browser, { width: 390, height: 844 });
    await go(page, '/jobs/hatchback-1/trace');
    await tab(page, 'Charge');
    expect(await traceToVerdict(page, new Player('hatchback', ['battery.sulphated'], 57))).toBe(
      'Enough: replace the battery',
    );
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
  });

  it('what it gives and what is taken stands on the machine’s page', async () => {
    const { page, faults } = await openWindow(browser);
    await go(page, '/machines/ferry-lorry');
    await page.waitForSelector('section[aria-label="Balance of charging"] svg');
    await sees(page, 'Idling, the battery is down in');
    expect(await axe(page)).toEqual([]);
    expect(faults).toEqual([]);
  });
});
