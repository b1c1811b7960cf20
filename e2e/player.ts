import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  formatQuantity,
  looksOf,
  type PlugLook,
  HiddenMachine,
  INSTRUMENTS,
  seededRandom,
  Tracer,
  type Check,
} from '@pondu/core';
import { houseSchema, ponduFileSchema } from '@pondu/core/schema';
import type { Page } from 'puppeteer-core';
import { click, textOf } from './browser.ts';

/** Plays the machine on the fender: answers whatever check the screen proposes, as typed by a person. */
export class Player {
  readonly tracer: Tracer;
  private hidden: HiddenMachine;
  private readonly seed: number;

  constructor(demoFile: string, faults: string[], seed: number) {
    const file = ponduFileSchema.parse(
      JSON.parse(readFileSync(join(import.meta.dirname, '../demo', `${demoFile}.pondu.json`), 'utf8')),
    );
    this.tracer = new Tracer(file.machines[0]!.machine, houseSchema.parse({}));
    this.seed = seed;
    this.hidden = this.machineWith(faults);
  }
  private machineWith(faults: string[]): HiddenMachine {
    const known = faults.map((id) => this.tracer.model.faults.find((f) => f.id === id)!);
    return new HiddenMachine(this.tracer.model, known, seededRandom(this.seed));
  }
  /** After a repair: the same machine with what is left. */
  repaired(left: string[]): void {
    this.hidden = this.machineWith(left);
  }
  answer(label: string): { check: Check; text: string } {
    const check = this.tracer.model.checks.find((c) => c.label === label);
    if (!check) throw new Error(`No check "${label}"`);
    const value = this.hidden.read(check);
    const { dimension } = INSTRUMENTS[check.instrument];
    const text =
      value.kind === 'word'
        ? value.word
        : value.kind === 'open'
          ? 'OL'
          : formatQuantity(value.value, dimension!).replace('−', '-');
    return { check, text };
  }
}

/** The check once the last reading has been taken in. */
const CARD = 'section[aria-label="Check"][aria-busy="false"] h2';

/** Types the answer to the check on screen with the keyboard, and waits until it is in the log. */
export async function answerCheck(page: Page, player: Player): Promise<string> {
  await page.waitForSelector(CARD);
  const label = await textOf(page, CARD);
  const { check, text } = player.answer(label);
  const before = await entries(page);
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  // The same check may be asked again: what was typed for it before must have gone.
  await page.waitForFunction(() => !(document.querySelector('#reading') as HTMLInputElement | null)?.value);
  await page.keyboard.press('r');
  // A key that finds no field is a key of the page: 1 would choose another check.
  await page.waitForFunction(() => document.activeElement?.closest('[data-reading]'));
  if (INSTRUMENTS[check.instrument].dimension) {
    await page.keyboard.type(text);
    await page.waitForFunction((t) => document.querySelector<HTMLInputElement>('#reading')?.value === t, {}, text);
    await page.keyboard.press('Enter');
    // Far off, it is asked once whether the range is right.
    await takenIn(page, `${label}: ${text}`, before, 'Yes, let it stand');
    if (await page.evaluate(() => document.body.innerText.includes('Yes, let it stand')))
      await click(page, 'button', 'Yes, let it stand');
  } else if ((check.plugs ?? 0) > 1) {
    await layPlugs(page, text, check.plugs!);
    await page.focus('[data-reading] button[type=submit]');
    await page.keyboard.press('Enter');
  } else {
    const words = await page.$$eval(
      '[data-reading] [aria-label="What it showed"] [role=radio] > span:first-child',
      (all) => all.map((e) => (e as HTMLElement).innerText),
    );
    await page.keyboard.press('Space');
    for (let i = 0; i < words.indexOf(text); i++) await page.keyboard.press('ArrowDown', { delay: 60 });
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
  }
  await takenIn(page, `${label}: ${text}`, before);
  return `${label}: ${text}`;
}

/** Waits until what was typed is in the log, or the page asks about it; otherwise tells what the page shows. */
async function takenIn(page: Page, entered: string, before: number, asked?: string): Promise<void> {
  try {
    await page.waitForFunction(logged, {}, before, asked);
  } catch (late) {
    const shown = await page.evaluate(() => document.body.innerText);
    throw new Error(`"${entered}" is not in the log. The page shows:\n${shown}`, { cause: late });
  }
}

/** Plugs as they lie there: a look, then the plugs that have it, each by Enter. */
async function layPlugs(page: Page, word: string, plugs: number): Promise<void> {
  const some: PlugLook[] = Array.from({ length: plugs }, (_, i) => (i < 2 ? 'wet or sooty' : 'dry'));
  const looks = looksOf(word, plugs) ?? some;
  const look = looks.find((l) => l !== 'dry') ?? 'dry';
  await click(page, 'radio', look);
  for (const [k, own] of looks.entries()) {
    const plug = await page.waitForSelector(`[data-reading] button[data-plug="${k + 1}"]`);
    const now = await plug!.evaluate((b) => b.querySelector('.sr-only')!.textContent.split(': ')[1]);
    if (own === now && !(own === 'dry' && look === 'dry')) continue;
    await plug!.focus();
    await page.keyboard.press('Enter');
  }
}

/** Runs in the page: more entries in the log than before, or the page asks something. */
const logged = (before: number, asked?: string): boolean =>
  (asked !== undefined && document.body.innerText.includes(asked)) ||
  Number(/\d+/.exec((document.querySelector('#log') as HTMLElement | null)?.innerText ?? '0')?.[0] ?? 0) > before;

export async function entries(page: Page): Promise<number> {
  const text = await page.$eval('#log', (e) => (e as HTMLElement).innerText);
  return Number(/\d+/.exec(text)?.[0] ?? 0);
}

/** Answers checks until the screen calls for something else; gives what it calls for. */
export async function traceToVerdict(page: Page, player: Player, most = 14): Promise<string> {
  for (let i = 0; i < most; i++) {
    await page.waitForSelector(CARD);
    const verdict = await page.evaluate(
      () => (document.querySelector('section[role="status"] h2') as HTMLElement | null)?.innerText ?? '',
    );
    // A dear part asks for a second witness: that is the next check.
    if (verdict && !verdict.includes('One more check first')) return verdict;
    await answerCheck(page, player);
    // What was read is in the log; what follows from it is there once the card, if there is one, is at rest.
    await page.waitForFunction((at) => document.querySelector(at)?.getAttribute('aria-busy') !== 'true', {}, CARD);
  }
  throw new Error('No verdict');
}
