import type { Page } from '@pondu/core';
import { Problem } from '../http/problem.ts';

/** Where a page ended: what the rows are ordered by, and the id that breaks ties. */
export type Place = readonly [key: string, id: string];

const cursorOf = (place: Place): string => Buffer.from(JSON.stringify(place)).toString('base64url');

export function placeOf(cursor: string): Place {
  try {
    const [key, id] = JSON.parse(Buffer.from(cursor, 'base64url').toString()) as [unknown, unknown];
    if (typeof key === 'string' && typeof id === 'string') return [key, id];
  } catch {
    // Said below.
  }
  throw new Problem(422, 'invalid', 'The page asked for is not one that was given.', {
    fields: [{ field: 'after', message: 'Take it from `next` of the page before.' }],
  });
}

/** Cuts a list that was asked for with one row more than a page holds. */
export function page<Row>(rows: Row[], limit: number, place: (row: Row) => Place): Page<Row> {
  const shown = rows.slice(0, limit);
  return { rows: shown, next: rows.length > limit ? cursorOf(place(shown[shown.length - 1]!)) : null };
}
