import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { complaint, machineBody, newJob, newMachine, start, type Started } from './start.ts';

let s: Started;
beforeAll(async () => {
  s = await start();
});
afterAll(() => s.stop());

interface Row {
  id: string;
  machineName: string;
  unreadable: string | null;
}
const list = async (query = ''): Promise<{ rows: Row[]; next: string | null }> =>
  (await s.api.get(`/api/jobs${query}`).expect(200)).body as { rows: Row[]; next: string | null };

describe('lists come in pages', () => {
  it('each job once, newest first, however many share a moment; light, without their events', async () => {
    const machineId = await newMachine(s, { name: 'Paged tractor' });
    for (let i = 0; i < 7; i++) await newJob(s, complaint, machineId);
    await s.store.sequelize.query(
      `UPDATE jobs SET updated_at = '2026-01-01T00:00:00.000Z' WHERE machine_id = '${machineId}'`,
    );
    const seen: string[] = [];
    let after = '';
    for (let page = 0; page < 10; page++) {
      const { rows, next } = await list(`?machine=${machineId}&limit=3${after}`);
      expect(rows.length).toBeLessThanOrEqual(3);
      expect(rows.every((r) => !('events' in r) && r.machineName === 'Paged tractor')).toBe(true);
      seen.push(...rows.map((r) => r.id));
      if (!next) break;
      after = `&after=${encodeURIComponent(next)}`;
    }
    expect(seen).toHaveLength(7);
    expect(new Set(seen).size).toBe(7);
  });
  it('machines by name, whatever their case', async () => {
    for (const name of ['zeta', 'Beta', 'alpha']) await newMachine(s, { name: `${name} cutter` });
    const names: string[] = [];
    let after = '';
    for (;;) {
      const { body } = await s.api.get(`/api/machines?limit=1&q=cutter${after}`).expect(200);
      names.push(...(body.rows as { machine: { name: string } }[]).map((r) => r.machine.name));
      if (!body.next) break;
      after = `&after=${body.next as string}`;
    }
    expect(names).toEqual(['alpha cutter', 'Beta cutter', 'zeta cutter']);
  });
  it('what waits is told from what can go on: a time that has come holds nothing', async () => {
    const machineId = await newMachine(s, { name: 'Held barge' });
    const [free, part, soon, late] = await Promise.all([0, 1, 2, 3].map(() => newJob(s, complaint, machineId)));
    const wait = (id: string, patch: object) => s.api.patch(`/api/jobs/${id}`).send(patch).expect(200);
    await wait(part!, { waitsFor: 'part' });
    await wait(soon!, { waitsFor: 'hot soak', dueAt: '2190-01-01T00:00:00Z' });
    await wait(late!, { waitsFor: 'cold start', dueAt: '2020-01-01T00:00:00Z' });
    const ids = async (held: string) => (await list(`?machine=${machineId}&held=${held}`)).rows.map((r) => r.id).sort();
    expect(await ids('no')).toEqual([free, late].sort());
    expect(await ids('yes')).toEqual([part, soon].sort());
    expect(await ids('any')).toHaveLength(4);
    await s.api.get(`/api/jobs?held=maybe`).expect(422);
  });
  it('keeps since when a job waits, and forgets it when it goes on', async () => {
    const id = await newJob(s, complaint, await newMachine(s, { name: 'Waiting cutter' }));
    const patched = async (patch: object) =>
      ((await s.api.patch(`/api/jobs/${id}`).send(patch).expect(200)).body as { job: { waitsSince: string | null } })
        .job;
    const { waitsSince } = await patched({ waitsFor: 'part' });
    expect(Math.abs(Date.parse(waitsSince!) - Date.now())).toBeLessThan(60_000);
    expect((await patched({ title: 'Rudder' })).waitsSince).toBe(waitsSince);
    expect((await patched({ waitsFor: '' })).waitsSince).toBeNull();
  });
  it('a page that was never given is refused', async () => {
    await s.api.get('/api/jobs?after=nonsense').expect(422);
    await s.api.get('/api/jobs?limit=100000').expect(422);
  });
});

describe('search', () => {
  it('finds a job by its machine, complaint, repair, part, note and snag, each word where it stands', async () => {
    const id = await newJob(
      s,
      { ...complaint, words: 'Stutters on the slipway' },
      await newMachine(s, { name: 'Grünewald launch' }),
    );
    await s.api.post(`/api/jobs/${id}/fixes`).send({ what: 'Fitted a plank', how: 'adapted', parts: 'Hose 12-B' });
    await s.api
      .post(`/api/jobs/${id}/readings`)
      .send({ checkId: 'battery-rest', typed: '12.4', note: 'after charging' });
    await s.api.post(`/api/jobs/${id}/snags`).send({ what: 'Bilge smells', weight: 'danger' });
    for (const q of ['grunewald', 'slipway', 'plank', 'hose', 'charging', 'bilge', 'launch bilge plank', 'GRÜNE smell'])
      expect(
        (await list(`?q=${encodeURIComponent(q)}`)).rows.map((r) => r.id),
        q,
      ).toEqual([id]);
    expect((await list('?q=launch%20tractor-that-is-not')).rows).toEqual([]);
  });
  it('follows what changes and goes away, and takes no command', async () => {
    const id = await newJob(s, { ...complaint, words: 'quivering' });
    await s.api
      .patch(`/api/jobs/${id}`)
      .send({ complaint: { words: 'shivering' } })
      .expect(200);
    expect((await list('?q=quivering')).rows).toEqual([]);
    expect((await list('?q=shivering')).rows).toHaveLength(1);
    await s.api.delete(`/api/jobs/${id}`).set('x-pondu', '1').expect(204);
    expect((await list('?q=shivering')).rows).toEqual([]);
    for (const q of ['" OR 1', 'a*b NEAR(c)', "'; DROP TABLE jobs; --", '^', 'text:x', '𝔛'])
      await s.api.get(`/api/jobs?q=${encodeURIComponent(q)}`).expect(200);
  });
});

describe('put away', () => {
  it('a machine goes with its jobs, is found again, and comes back', async () => {
    const machineId = await newMachine(s, { name: 'Forgotten mower' });
    const id = await newJob(s, complaint, machineId);
    await s.api.delete(`/api/machines/${machineId}`).set('x-pondu', '1').expect(204);
    expect((await list(`?machine=${machineId}`)).rows).toEqual([]);
    const away = (await s.api.get('/api/machines?away=true&q=forgotten').expect(200)).body.rows as { id: string }[];
    expect(away.map((m) => m.id)).toEqual([machineId]);
    expect((await s.api.get(`/api/machines/${machineId}`).expect(200)).body.awayAt).toEqual(expect.any(String));
    expect((await s.api.get(`/api/jobs/${id}/trace`).expect(200)).body.verdict).toBeDefined();
    await s.api.put(`/api/machines/${machineId}`).send({ name: 'x' }).expect(409);
    await s.api.post(`/api/machines/${machineId}/restore`).set('x-pondu', '1').expect(200);
    expect((await list(`?machine=${machineId}`)).rows.map((r) => r.id)).toEqual([id]);
  });
  it('a job stands among those put away', async () => {
    const id = await newJob(s);
    await s.api.delete(`/api/jobs/${id}`).set('x-pondu', '1').expect(204);
    expect((await list('?away=true')).rows.map((r) => r.id)).toContain(id);
    expect((await list('?limit=200')).rows.map((r) => r.id)).not.toContain(id);
  });
});

describe('a row that cannot be read', () => {
  it('is shown as unreadable, and the rest is there; so with machines, events and the export', async () => {
    const [broken, whole] = [await newJob(s), await newJob(s)];
    const badMachine = await newMachine(s, { name: 'Unreadable one' });
    await s.api.post(`/api/jobs/${whole}/snags`).send({ what: 'Seen', weight: 'looks' }).expect(201);
    const { sequelize } = s.store;
    await sequelize.query(`UPDATE jobs SET body = '{"stage":"trace"}' WHERE id = '${broken}'`);
    await sequelize.query(`UPDATE machines SET body = '{"name":"Unreadable one"}' WHERE id = '${badMachine}'`);
    await sequelize.query(
      `INSERT INTO job_events (job_id, event_id, type, body) VALUES ('${whole}', 'e', 'reading', '{"type":"reading"}')`,
    );
    const { rows } = await list('?limit=200');
    expect(rows.find((r) => r.id === broken)!.unreadable).toMatch('complaint');
    expect(rows.find((r) => r.id === whole)!.unreadable).toBeNull();
    expect((await s.api.get(`/api/jobs/${whole}`).expect(200)).body).toMatchObject({ unreadable: 1, events: [] });
    const told = await s.api.get(`/api/jobs/${broken}`).expect(422);
    expect(told.body.title).toMatch('It is kept');
    const machines = (await s.api.get('/api/machines?limit=200').expect(200)).body.rows as Row[];
    expect(machines.find((m) => m.id === badMachine)!.unreadable).toMatch('kind');
    const { body: out } = await s.api.get('/api/export').expect(200);
    expect((out.unreadable as { id: string }[]).map((u) => u.id).sort()).toEqual(
      [badMachine, broken, `${whole}/e`].sort(),
    );
    const other = await start();
    await other.api.post('/api/import').send(out).expect(201);
    await other.stop();
  });
});

describe('what the bays show', () => {
  it('is worked out once a version, told to those who listen, and kept', async () => {
    const id = await newJob(s);
    const told: string[] = [];
    const stop = s.store.changes.listen((c) => {
      if (c.type === 'summary' && c.id === id) told.push(c.summary.ok ? c.summary.bay.next : c.summary.message);
    });
    await list();
    await s.summaries.idle();
    expect(told).toHaveLength(1);
    const row = async () => (await list()).rows.find((r) => r.id === id) as unknown as { summary: { ok: boolean } };
    expect((await row()).summary).toMatchObject({ ok: true, bay: { next: expect.any(String) } });
    await s.summaries.idle();
    expect(told).toHaveLength(1);
    await s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'battery-rest', typed: '3.1' }).expect(201);
    await s.summaries.idle();
    expect(told).toHaveLength(2);
    stop();
  });
  it('what somebody has before their eyes comes first', async () => {
    const ids = [await newJob(s), await newJob(s), await newJob(s)];
    const order: string[] = [];
    const stop = s.store.changes.listen((c) => void (c.type === 'summary' && order.push(c.id)));
    s.summaries.want(ids);
    await s.api
      .post('/api/bays/wanted')
      .send({ ids: [ids[2]] })
      .expect(202);
    await s.summaries.idle();
    stop();
    expect(order.filter((id) => ids.includes(id)).slice(0, 2)).toContain(ids[2]);
    expect(order.indexOf(ids[2]!)).toBeLessThan(order.indexOf(ids[1]!));
  });
  it('says why where a machine cannot be computed', async () => {
    const machineId = await newMachine(s);
    const id = await newJob(s, complaint, machineId);
    const plates = { 'coil.primaryOhms': { low: 0, high: 0, source: 'manual', note: '' } };
    const { machine } = (await s.api.get(`/api/machines/${machineId}`)).body as { machine: object };
    await s.store.models.machines.update(
      { body: JSON.stringify({ ...machine, plates }), version: 9 },
      { where: { id: machineId } },
    );
    s.summaries.want([id]);
    await s.summaries.idle();
    const row = (await list()).rows.find((r) => r.id === id) as unknown as { summary: object };
    expect(row.summary).toMatchObject({
      ok: false,
      message: expect.stringMatching(/primary resistance is given as 0 Ω/),
    });
  });
});

describe('a machine whose figures leave no answer', () => {
  it('is refused by the field, and one that was stored so names the figure and stays editable', async () => {
    const plates = { 'coil.primaryOhms': { low: 0, high: 0, source: 'manual', note: '' } };
    const refused = await s.api
      .post('/api/machines')
      .send({ ...machineBody, plates })
      .expect(422);
    expect((refused.body.fields as { field: string }[]).map((f) => f.field)).toEqual([
      'plates.coil.primaryOhms.low',
      'plates.coil.primaryOhms.high',
    ]);
    const id = await newMachine(s);
    const { machine } = (await s.api.get(`/api/machines/${id}`)).body as { machine: object };
    await s.store.models.machines.update({ body: JSON.stringify({ ...machine, plates }) }, { where: { id } });
    const checks = await s.api.get(`/api/machines/${id}/checks`).expect(422);
    expect(checks.body).toMatchObject({
      type: 'urn:pondu:unsolved',
      fields: [{ field: 'plates.coil.primaryOhms', message: expect.stringContaining('change the figure') }],
    });
    const shown = (await s.api.get(`/api/machines/${id}/plates`).expect(200)).body as { id: string; low: number }[];
    expect(shown.find((p) => p.id === 'coil.primaryOhms')!.low).toBe(0);
    await s.api.put(`/api/machines/${id}`).send({ notes: 'To be measured again' }).expect(200);
    await s.api.put(`/api/machines/${id}`).send({ plates: {} }).expect(200);
    await s.api.get(`/api/machines/${id}/checks`).expect(200);
  });
});
