import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { complaint, machineBody, newJob, start, type Started } from './start.ts';

let s: Started;
beforeAll(async () => {
  s = await start();
});
afterAll(() => s.stop());

describe('a write changes what it mentions, and nothing else', () => {
  it('a title does not reopen a closed job', async () => {
    const id = await newJob(s);
    await s.api.post(`/api/jobs/${id}/close`).send({ because: 'sold as it stands' }).expect(200);
    const { body } = await s.api.patch(`/api/jobs/${id}`).send({ title: 'Launch' }).expect(200);
    expect(body.job).toMatchObject({ title: 'Launch', stage: 'closed', closedBecause: 'sold as it stands' });
    expect(body.job.closedAt).not.toBeNull();
  });
  it('the words of a complaint throw no job back, and lose none of the others', async () => {
    const id = await newJob(s, { ...complaint, since: 'Easter', before: 'new coil' });
    await s.api.patch(`/api/jobs/${id}`).send({ stage: 'repair', waitsFor: 'part' }).expect(200);
    const { body } = await s.api
      .patch(`/api/jobs/${id}`)
      .send({ complaint: { words: 'It coughs.' } })
      .expect(200);
    expect(body.job).toMatchObject({
      stage: 'repair',
      waitsFor: 'part',
      complaint: { ...complaint, words: 'It coughs.', since: 'Easter', before: 'new coil' },
    });
  });
  it('a machine keeps its plate values, worth and notes', async () => {
    const plates = { 'ballast.ohms': { low: 1.4, high: 1.6, source: 'manual' } };
    const { body: made } = await s.api
      .post('/api/machines')
      .send({ ...machineBody, worth: 900, notes: 'Belt frayed', plates })
      .expect(201);
    const { body } = await s.api.put(`/api/machines/${made.id}`).send({ name: 'Old car' }).expect(200);
    expect(body.machine).toMatchObject({ name: 'Old car', worth: 900, notes: 'Belt frayed', plates });
  });
  it('house rules keep what is not mentioned, and are not wiped by what is not JSON', async () => {
    await s.api.put('/api/house').send({ shopName: 'Quay works', ratePerHour: 55 }).expect(200);
    await s.api.put('/api/house').send({ ratePerHour: 60 }).expect(200);
    await s.api.put('/api/house').set('content-type', 'text/plain').send('ratePerHour=1').expect(415);
    await s.api.put('/api/house').set('x-pondu', '1').set('content-type', 'text/plain').send('x').expect(200);
    await s.api.put('/api/house').send([]).expect(422);
    expect((await s.api.get('/api/house')).body.house).toMatchObject({ shopName: 'Quay works', ratePerHour: 60 });
  });
  it('a snag that is ticked off keeps its words, and one that is reworded stays ticked off', async () => {
    const id = await newJob(s);
    await s.api
      .post(`/api/jobs/${id}/snags`)
      .send({ id: `s-${id}`, what: 'Belt frayed', weight: 'danger' })
      .expect(201);
    await s.api
      .post(`/api/jobs/${id}/snags`)
      .send({ id: `s-${id}`, done: true })
      .expect(201);
    const { body } = await s.api
      .post(`/api/jobs/${id}/snags`)
      .send({ id: `s-${id}`, what: 'Belt cut' })
      .expect(201);
    expect(body.snags).toEqual([expect.objectContaining({ what: 'Belt cut', weight: 'danger', done: true })]);
    await s.api.post(`/api/jobs/${id}/snags`).send({ what: 'No weight' }).expect(422);
  });
});

describe('an answer that got lost', () => {
  it.each([
    ['readings', { checkId: 'battery-rest', typed: '12.4' }],
    ['fixes', { what: 'New ballast', how: 'replaced' }],
    ['causes', { faultId: 'ballast.open', cause: 'Age and wear', found: 'found' }],
    ['settings', { figure: 'points.gapMetres', leftAt: 0.4e-3 }],
    ['snags', { what: 'Belt frayed', weight: 'looks' }],
  ])('%s: the same id again is answered as the first time, whatever the version', async (kind, sent) => {
    const id = await newJob(s);
    const send = () =>
      s.api
        .post(`/api/jobs/${id}/${kind}`)
        .set('If-Match', '"1"')
        .send({ ...sent, id: `once-${id}` });
    const first = await send().expect(201);
    await new Promise((later) => setTimeout(later, 5));
    const again = await send().expect(201);
    expect(again.body).toEqual(first.body);
    expect(again.body.events.length + again.body.snags.length).toBe(1);
  });
  it('the same id with other words is refused, and nothing is overwritten', async () => {
    const id = await newJob(s);
    const send = (typed: string) =>
      s.api.post(`/api/jobs/${id}/readings`).send({ id: 'r1', checkId: 'battery-rest', typed });
    await send('12.4').expect(201);
    await send('11.9').expect(409);
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toHaveLength(1);
  });
  it('a stage, a closing, a new job and a new machine are asked for twice and done once', async () => {
    const id = await newJob(s);
    const stage = () => s.api.patch(`/api/jobs/${id}`).set('If-Match', '"1"').send({ stage: 'repair' });
    expect((await stage().expect(200)).body).toEqual((await stage().expect(200)).body);
    const close = () => s.api.post(`/api/jobs/${id}/close`).set('If-Match', '"2"').send({ because: 'sold' });
    expect((await close().expect(200)).body).toEqual((await close().expect(200)).body);
    const machine = () => s.api.post('/api/machines').send({ ...machineBody, id: 'm-once' });
    expect((await machine().expect(201)).body).toEqual((await machine().expect(201)).body);
    const job = () => s.api.post('/api/jobs').send({ id: 'j-once', machineId: 'm-once', complaint });
    expect((await job().expect(201)).body).toEqual((await job().expect(201)).body);
    await s.api
      .post('/api/jobs')
      .send({ id: 'j-once', machineId: 'm-once', complaint: { ...complaint, symptom: 'dies' } })
      .expect(409);
  });
  it('what waited for a signal keeps its time; a clock that runs ahead does not', async () => {
    const id = await newJob(s);
    const send = async (at: string, figure: string) =>
      (await s.api.post(`/api/jobs/${id}/settings`).send({ figure, leftAt: 1, at }).expect(201)).body.events.at(-1)
        .setting.at as string;
    expect(await send('2026-01-02T03:04:05.000Z', 'a')).toBe('2026-01-02T03:04:05.000Z');
    expect(await send('2999-01-01T00:00:00.000Z', 'b')).not.toMatch(/^2999/);
  });
});
