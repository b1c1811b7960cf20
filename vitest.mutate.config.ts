import { defineConfig } from 'vitest/config';
import all from './vitest.config.ts';

/** What `npm run mutate` runs: everything but what drives a browser. */
export default defineConfig({
  test: {
    ...all.test,
    reporters: ['default'],
    projects: all.test!.projects!.filter((p) => (p as { test: { name: string } }).test.name !== 'e2e'),
  },
});
