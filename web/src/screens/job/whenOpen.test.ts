import { addHours } from 'date-fns';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { whenOpen } from './whenOpen.ts';

afterEach(() => vi.unstubAllEnvs());
const shown = (at: Date) => `${at.getDate()}. ${at.getHours()}:${String(at.getMinutes()).padStart(2, '0')}`;

describe('a time at which somebody is there, in the nights in which the clocks are changed', () => {
  // Europe, 2026: ahead on 29 March at 2, back on 25 October at 3.
  it.each([
    ['20:00 the evening before they go ahead', '2026-03-28T19:00:00Z', 12, '29. 9:00'],
    ['19:00 the evening before they go ahead', '2026-03-28T18:00:00Z', 12, '29. 8:00'],
    ['20:00 the evening before they go back', '2026-10-24T18:00:00Z', 12, '25. 8:00'],
    ['12:00 on that Saturday: midnight is no time, the morning is', '2026-10-24T10:00:00Z', 12, '25. 8:00'],
    ['17:00 on the Sunday: the Monday after', '2026-10-25T16:00:00Z', 12, '26. 8:00'],
  ])('%s', (_name, from, hours, expected) => {
    vi.stubEnv('TZ', 'Europe/Berlin');
    expect(shown(whenOpen(addHours(new Date(from), hours)))).toBe(expected);
  });
  it('where clocks are changed in the other half of the year', () => {
    vi.stubEnv('TZ', 'Australia/Sydney');
    // Ahead on 4 October 2026 at 2: twelve hours after 20:00 are 9:00.
    expect(shown(whenOpen(addHours(new Date('2026-10-03T10:00:00Z'), 12)))).toBe('4. 9:00');
  });
});
