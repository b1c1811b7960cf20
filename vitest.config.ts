import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    reporters: ['default', './scripts/lib/summaryReporter.ts'],
    projects: [
      { test: { name: 'core', include: ['core/src/**/*.test.ts'], environment: 'node', testTimeout: 60_000 } },
      {
        test: {
          name: 'server',
          include: ['server/__tests__/**/*.test.ts'],
          environment: 'node',
          pool: 'forks',
          testTimeout: 60_000,
        },
      },
      { test: { name: 'web', include: ['web/src/**/*.test.{ts,tsx}'], environment: 'jsdom', testTimeout: 30_000 } },
      {
        test: {
          name: 'e2e',
          include: ['e2e/**/*.e2e.test.ts', 'bench/**/*.e2e.test.ts'],
          environment: 'node',
          globalSetup: ['e2e/globalSetup.ts'],
          fileParallelism: false,
          testTimeout: 90_000,
          hookTimeout: 60_000,
        },
      },
    ],
  },
});
