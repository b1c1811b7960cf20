import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newJob, problemIn, start, type Started } from './start.ts';

let s: Started;
beforeAll(async () => {
  s = await start();
});
afterAll(() => s.stop());

const CARE = { id: 'c1', cautions: ['open fuel', 'fuel vapour'], about: 'fuel-flow' };
const version = async (id: string): Promise<number> => (await s.api.get(`/api/jobs/${id}`).expect(200)).body.version;

describe('cautions that were understood', () => {
  it('are kept with the job, once, with when; nothing else of it changes', async () => {
    const id = await newJob(s);
    const before = await version(id);
    const { body } = await s.api.post(`/api/jobs/${id}/cares`).send(CARE).expect(201);
    await s.api.post(`/api/jobs/${id}/cares`).send(CARE).expect(201);
    expect(body.events).toEqual([{ type: 'care', care: { ...CARE, at: expect.any(String) } }]);
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toHaveLength(1);
    expect(await version(id)).toBe(before);
    // Whoever had the job on screen before writes on as if nothing had been.
    await s.api
      .post(`/api/jobs/${id}/readings`)
      .set('if-match', `"${before}"`)
      .send({ checkId: 'points-drop', typed: '0.1 V' })
      .expect(201);
  });
  it.each([[[]], [['dragons']]])('are known cautions, and one at least: not %j', async (cautions) => {
    const id = await newJob(s);
    const refused = problemIn(
      await s.api
        .post(`/api/jobs/${id}/cares`)
        .send({ ...CARE, cautions })
        .expect(422),
    );
    expect(refused.body).toMatchObject({ fields: [{ field: expect.stringMatching(/^cautions/) }] });
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toEqual([]);
  });
  it('tell nothing of the machine', async () => {
    const id = await newJob(s);
    const suspects = async () => (await s.api.get(`/api/jobs/${id}/trace`).expect(200)).body.suspects as unknown;
    const before = await suspects();
    await s.api.post(`/api/jobs/${id}/cares`).send(CARE).expect(201);
    expect(await suspects()).toEqual(before);
  });
  it('come back from a file of the shop', async () => {
    const id = await newJob(s);
    await s.api.post(`/api/jobs/${id}/cares`).send(CARE).expect(201);
    const file = (await s.api.get('/api/export').buffer(true).expect(200)).text;
    const other = await start();
    await other.api.post('/api/import').set('content-type', 'application/json').send(file).expect(201);
    const there = await other.api.get(`/api/jobs/${id}`).expect(200);
    expect(there.body.events).toEqual([{ type: 'care', care: { ...CARE, at: expect.any(String) } }]);
    await other.stop();
  });
});
