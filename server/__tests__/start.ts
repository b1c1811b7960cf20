import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import supertest from 'supertest';
import { createApp } from '../src/app.ts';
import { openStore } from '../src/store/database.ts';

/** A server on a data file of its own. */
export async function start() {
  const folder = await mkdtemp(join(tmpdir(), 'pondu-test-'));
  const file = join(folder, 'test.sqlite');
  const store = await openStore(file);
  const app = createApp({ store, logger: pino({ level: 'silent' }) });
  return {
    store,
    file,
    app,
    api: supertest(app),
    stop: async () => {
      await store.close();
      await rm(folder, { recursive: true, force: true });
    },
  };
}
export type Started = Awaited<ReturnType<typeof start>>;

export const machineBody = {
  name: 'Test car',
  kind: 'car',
  fitOut: {
    layout: 'battery-points',
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    ballast: 'external',
    fused: true,
    compressionRatio: 8,
  },
};
export const complaint = { symptom: 'no-fire', pattern: 'constant' };
