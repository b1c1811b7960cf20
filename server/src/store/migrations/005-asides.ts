import { eventsAnew } from './eventsAnew.ts';
import type { Migration } from './migration.ts';

/** Where in an event the words stand that are found. */
export const SAYS = [
  'reading.note',
  'fix.what',
  'fix.parts',
  'fix.partNumber',
  'cause.cause',
  'cause.note',
  'photo.words',
  'aside.note',
];

/** Checks that told nothing are events too. */
export const asides: Migration = {
  name: '005-asides',
  up: eventsAnew(['reading', 'fix', 'cause', 'setting', 'sheet', 'photo', 'aside'], SAYS),
};
