import { afterEach, describe, expect, it, vi } from 'vitest';
import { bookSchema } from '../schema/book.ts';
import { hasStood, wasHot } from '../proving/heat.ts';
import type { Reading } from '../schema/job.ts';
import { dueOf } from './due.ts';

afterEach(() => vi.unstubAllEnvs());
const reading = (at: string, warmth: 'hot' | 'cold'): Reading =>
  ({ id: 'r', checkId: 'try-it', value: { kind: 'words', word: 'a' }, at, warmth }) as unknown as Reading;

describe.each(['Europe/Berlin', 'America/St_Johns', 'Australia/Lord_Howe', 'UTC'])('in %s', (zone) => {
  it('what was done half a year ago is due on its day, on either side of a change of the clocks', () => {
    vi.stubEnv('TZ', zone);
    for (const [last, due] of [
      ['2026-03-28', '2026-09-28'],
      ['2026-03-29', '2026-09-29'],
      ['2026-04-25', '2026-10-25'],
    ] as const) {
      const book = bookSchema.parse({
        services: [{ id: 's', what: 'Oil', everyMonths: 6, everyMeter: null, lastAt: last, lastMeter: null }],
      });
      const state = (now: string) => dueOf(book, now)[0]!;
      expect(state(`${due}T12:00:00Z`)).toMatchObject({ byDate: due, onDate: due, state: 'due' });
      const before = new Date(Date.parse(`${due}T12:00:00Z`) - 86_400_000).toISOString();
      expect(state(before).state).toBe('soon');
    }
  });
  it('an engine cools by the minutes that pass, not by what the clock on the wall shows', () => {
    vi.stubEnv('TZ', zone);
    // The hour that is there twice in Europe on 25 October, and the one that is skipped on 29 March.
    for (const night of ['2026-10-25T00:45:00Z', '2026-03-29T00:45:00Z']) {
      const after = (minutes: number) => new Date(Date.parse(night) + minutes * 60_000).toISOString();
      const warm = [{ until: night, minutes: 20 }];
      expect(wasHot(reading(after(25), 'hot'), warm)).toBe(true);
      expect(wasHot(reading(after(45), 'hot'), warm)).toBe(false);
      expect(hasStood(reading(after(12 * 60), 'cold'), 12, [night])).toBe(true);
      expect(hasStood(reading(after(11.5 * 60), 'cold'), 12, [night])).toBe(false);
    }
  });
});
