import { SAYS } from './005-asides.ts';
import { eventsAnew } from './eventsAnew.ts';
import type { Migration } from './migration.ts';

/** What was warned of and understood is an event too. */
export const cares: Migration = {
  name: '007-cares',
  up: eventsAnew(['reading', 'fix', 'cause', 'setting', 'sheet', 'photo', 'aside', 'care'], SAYS),
};
