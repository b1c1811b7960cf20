import { defineConfig } from 'vitest/config';

/** Two files at a time, but those that drive a browser or a server of their own one after the other, last. */
export default defineConfig({
  test: {
    maxWorkers: 2,
    reporters: ['default', './scripts/lib/summaryReporter.ts'],
    projects: [
      {
        test: {
          name: 'core',
          include: ['core/src/**/*.test.ts'],
          environment: 'node',
          testTimeout: 60_000,
          sequence: { groupOrder: 0 },
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/__tests__/**/*.test.ts'],
          environment: 'node',
          pool: 'forks',
          testTimeout: 60_000,
          fileParallelism: false,
          sequence: { groupOrder: 1 },
        },
      },
      {
        test: {
          name: 'web',
          include: ['web/src/**/*.test.{ts,tsx}'],
          environment: 'jsdom',
          setupFiles: ['web/src/__tests__/setup.ts'],
          testTimeout: 30_000,
          sequence: { groupOrder: 0 },
        },
      },
      {
        test: {
          name: 'e2e',
          include: ['e2e/**/*.e2e.test.ts', 'bench/**/*.e2e.test.ts'],
          environment: 'node',
          globalSetup: ['e2e/globalSetup.ts'],
          fileParallelism: false,
          sequence: { groupOrder: 2 },
          // Each wait has its own limit; this one only ends what hangs.
          testTimeout: 240_000,
          hookTimeout: 120_000,
          // A browser on a machine that does more than this; what passes only so is named at the end.
          retry: 1,
        },
      },
    ],
  },
});
