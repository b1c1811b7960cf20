import { Problem } from '../http/problem.ts';

/** Refuses a write that was based on an older version than the one stored. Nothing is written then. */
export function stale(what: string, stored: number, expected: number | undefined): void {
  if (expected === undefined || expected === stored) return;
  throw new Problem(
    412,
    'stale',
    `Something else changed ${what} since you opened this. Nothing was overwritten, and what you typed is kept: look at what is new, then save again.`,
    { stored, expected },
  );
}
