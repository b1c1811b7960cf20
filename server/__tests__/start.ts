import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import supertest from 'supertest';
import { createApp, type AppOptions } from '../src/app.ts';
import { computeHere } from '../src/compute/compute.ts';
import { openStore } from '../src/store/database.ts';

/** A server on a data file of its own. */
export async function start(options: Partial<AppOptions> = {}) {
  const folder = await mkdtemp(join(tmpdir(), 'pondu-test-'));
  const file = join(folder, 'test.sqlite');
  const store = await openStore(file);
  const compute = computeHere();
  const { app, summaries, simulations } = createApp({ store, compute, logger: pino({ level: 'silent' }), ...options });
  return {
    store,
    file,
    app,
    compute,
    summaries,
    simulations,
    api: supertest(app),
    stop: async () => {
      await Promise.all([summaries.close(), simulations?.close()]);
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
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    compressionRatio: 8,
    trails: [{ trail: 'spark', kind: 'battery-points', options: { ballast: 'external', fused: true } }],
  },
};
export const complaint = { symptom: 'no-fire', pattern: 'constant' };

const idIn = (res: { body: unknown }): string => (res.body as { id: string }).id;
export const newMachine = async ({ api }: Started, change: object = {}): Promise<string> =>
  idIn(
    await api
      .post('/api/machines')
      .send({ ...machineBody, ...change })
      .expect(201),
  );
export const newJob = async (s: Started, about: object = complaint, machineId?: string): Promise<string> =>
  idIn(
    await s.api
      .post('/api/jobs')
      .send({ machineId: machineId ?? (await newMachine(s)), complaint: about })
      .expect(201),
  );

/** A refusal is problem+json, whatever refused it. */
export function problemIn(res: { headers: Record<string, string>; body: unknown; text: string }) {
  if (!String(res.headers['content-type']).includes('application/problem+json'))
    throw new Error(`Not a problem: ${res.headers['content-type']} ${res.text.slice(0, 200)}`);
  return res as { body: Record<string, unknown> & { type: string; title: string; status: number } };
}
