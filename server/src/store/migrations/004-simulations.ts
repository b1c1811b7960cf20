import type { Migration } from './migration.ts';

/** What was simulated of a machine, for the pages: made anew whenever it is missing, so it is nobody's to lose. */
export const simulations: Migration = {
  name: '004-simulations',
  up: [
    `CREATE TABLE simulations (
      name TEXT PRIMARY KEY,
      gzipped BLOB NOT NULL,
      made INTEGER NOT NULL
    )`,
  ],
};
