import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { complaint, machineBody, newJob as openJob, newMachine as addMachine, start, type Started } from './start.ts';

let s: Started;
beforeAll(async () => {
  s = await start();
});
afterAll(() => s.stop());

const newMachine = () => addMachine(s);
const newJob = () => openJob(s);
const isProblem = (res: { headers: Record<string, string>; body: unknown }) => {
  expect(res.headers['content-type']).toMatch('application/problem+json');
  return res.body as { title: string; status: number; type: string; fields?: { field: string; message: string }[] };
};

describe('one job by the API alone', () => {
  it('goes from complaint to closed', async () => {
    const id = await newJob();
    const at = (path = '') => `/api/jobs/${id}${path}`;
    const trace = await s.api.get(at('/trace')).expect(200);
    expect(trace.body.next ?? trace.body.ranked[0]).toMatchObject({ touch: expect.any(String) });
    await s.api
      .post(at('/readings'))
      .send({ checkId: 'ballast-volts', typed: '12.3 V', faultPresent: 'yes' })
      .expect(201);
    await s.api
      .post(at('/readings'))
      .send({ checkId: 'coil-feed-closed', typed: '5 mV', faultPresent: 'yes' })
      .expect(201);
    await s.api.post(at('/readings')).send({ checkId: 'ballast-ohms', typed: 'OL', faultPresent: 'yes' }).expect(201);
    const asked = trace.body.ranked[0].id as string;
    await s.api.post(at('/asides')).send({ id: 'behind', checkId: asked, note: 'behind the dash' }).expect(201);
    await s.api.post(at('/asides')).send({ id: 'behind', checkId: asked, note: 'behind the dash' }).expect(201);
    expect(isProblem(await s.api.post(at('/asides')).send({ note: 'which?' }).expect(422)).fields![0]!.field).toBe(
      'checkId',
    );
    const without = await s.api.get(at('/trace')).expect(200);
    expect(without.body.ranked.map((r: { id: string }) => r.id)).not.toContain(asked);
    // Three agree, one of them at the part itself. Leads that touch nothing show nothing as well, a few millivolts of it:
    // it leads, and the doubtful one may be taken once more.
    const doubted = await s.api.get(at('/trace')).expect(200);
    expect(doubted.body.suspects[0]).toMatchObject({ faultId: 'ballast.open' });
    expect(doubted.body.ranked.find((r: { id: string }) => r.id === 'coil-feed-closed')).toMatchObject({ again: true });
    await s.api
      .post(at('/readings'))
      .send({ checkId: 'coil-feed-closed', typed: '4 mV', faultPresent: 'yes' })
      .expect(201);
    await s.api
      .post(at('/readings'))
      .send({ checkId: 'coil-feed-open', typed: '3 mV', faultPresent: 'yes' })
      .expect(201);
    const judged = await s.api.get(at('/trace')).expect(200);
    expect(judged.body.verdict).toMatchObject({ kind: 'fix', repair: { id: 'ballast.replace' } });
    expect(judged.body.suspects[0]).toMatchObject({ faultId: 'ballast.open' });

    const ruler = await s.api.get(at('/checks/points-drop/ruler')).expect(200);
    expect(ruler.body.well.high).toBeLessThan(0.5);
    await s.api
      .post(at('/fixes'))
      .send({ repairId: 'ballast.replace', what: 'New ballast', how: 'replaced', minutes: 15, money: 18 })
      .expect(201);
    const causes = await s.api.get(at('/causes/ballast.open')).expect(200);
    expect(causes.body.causes.length).toBeGreaterThan(0);
    await s.api
      .post(at('/causes'))
      .send({ faultId: 'ballast.open', cause: 'Age and wear', found: 'found' })
      .expect(201);
    await s.api.post(at('/settings')).send({ figure: 'points.gapMetres', leftAt: 0.4e-3 }).expect(201);
    await s.api.post(at('/snags')).send({ what: 'Belt frayed', weight: 'reliability' }).expect(201);

    isProblem(await s.api.post(at('/close')).send({}).expect(422));
    for (const [checkId, typed] of [
      ['coil-feed-closed', '6.1'],
      ['coil-feed-open', '12.5'],
      ['ballast-ohms', '1.5'],
      ['try-it', 'runs even'],
      ['spark-every', 'good on all'],
    ])
      await s.api.post(at('/readings')).send({ checkId, typed, faultPresent: 'no' }).expect(201);
    expect((await s.api.get(at('/proof')).expect(200)).body.proven).toBe(true);
    const closed = await s.api.post(at('/close')).send({}).expect(200);
    expect(closed.body.job).toMatchObject({ stage: 'closed', closedBecause: '' });
    const csv = await s.api.get(at('/readings.csv')).expect(200);
    expect(csv.text.split('\r\n')).toHaveLength(12);
    expect(csv.text).toContain('ballast-ohms,Ballast resistance,OL,OL,OL');
  });

  it('lists checks with what they should read, and plates in force', async () => {
    const id = await newMachine();
    const checks = (await s.api.get(`/api/machines/${id}/checks`).expect(200)).body as {
      id: string;
      well: { low: number; high: number };
    }[];
    const rest = checks.find((c) => c.id === 'battery-rest')!;
    expect(rest.well.low).toBeGreaterThan(12);
    expect(rest.well.high).toBeLessThan(13);
    const plates = (await s.api.get(`/api/machines/${id}/plates`).expect(200)).body as { id: string; source: string }[];
    expect(plates.find((p) => p.id === 'coil.primaryOhms')).toMatchObject({ source: 'typical' });
  });

  it('writes a machine as a circuit that any simulator reads', async () => {
    const id = await newMachine();
    const { text } = await s.api
      .get(`/api/machines/${id}/circuit.cir?key=on&points=closed&fault=points.burnt`)
      .expect(200);
    expect(text).toMatch(/^\* Test car, key on, points closed, Points burnt or dirty\n/);
    expect(text).toContain('\n.op\n');
    isProblem(await s.api.get(`/api/machines/${id}/circuit.cir?fault=boiler.cold`).expect(404));
    isProblem(await s.api.get(`/api/machines/${id}/circuit.cir?points=sideways`).expect(422));
  });

  it('a changed plate value changes the expected reading', async () => {
    const id = await newMachine();
    const well = async () =>
      ((await s.api.get(`/api/machines/${id}/checks`)).body as { id: string; well: { low: number } }[]).find(
        (c) => c.id === 'coil-primary',
      )!.well.low;
    const before = await well();
    await s.api
      .put(`/api/machines/${id}`)
      .send({ ...machineBody, plates: { 'coil.primaryOhms': { low: 3, high: 3.4, source: 'manual' } } })
      .expect(200);
    expect(await well()).toBeGreaterThan(before * 1.7);
  });
});

describe('bad input is told by the field, and nothing is lost', () => {
  it.each([
    ['unreadable', 'twelve', /not a reading/],
    ['wrong unit', '12 ohm', /voltage/],
    ['unknown unit', '12 parsec', /not a unit/],
    ['empty', '', /Give the reading/],
  ])('%s reading', async (_name, typed, message) => {
    const id = await newJob();
    const problem = isProblem(
      await s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'battery-rest', typed }).expect(422),
    );
    expect(problem.fields).toEqual([{ field: 'typed', message: expect.stringMatching(message) }]);
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toEqual([]);
  });
  it('negative ohms', async () => {
    const id = await newJob();
    const problem = isProblem(
      await s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'coil-primary', typed: '-4' }).expect(422),
    );
    expect(problem.fields![0]!.message).toMatch('below zero');
  });
  it('an absurd value is asked about, then stands', async () => {
    const id = await newJob();
    const send = (confirmed: boolean) =>
      s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'battery-rest', typed: '126', confirmed });
    expect(isProblem(await send(false).expect(422)).title).toMatch('right range');
    expect((await send(true).expect(201)).body.events).toHaveLength(1);
  });
  it('a plate band upside down', async () => {
    const problem = isProblem(
      await s.api
        .post('/api/machines')
        .send({ ...machineBody, plates: { 'ballast.ohms': { low: 3, high: 1, source: 'manual' } } })
        .expect(422),
    );
    expect(problem.fields).toEqual([
      { field: 'plates.ballast.ohms.low', message: expect.stringMatching('upside down') },
    ]);
  });
  it('an unknown machine, job, check, reading to correct', async () => {
    isProblem(await s.api.get('/api/machines/none').expect(404));
    isProblem(await s.api.get('/api/jobs/none').expect(404));
    isProblem(await s.api.post('/api/jobs').send({ machineId: 'none', complaint }).expect(404));
    const id = await newJob();
    isProblem(await s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'none', typed: '1' }).expect(404));
    isProblem(
      await s.api
        .post(`/api/jobs/${id}/readings`)
        .send({ checkId: 'battery-rest', typed: '12', supersedes: 'none' })
        .expect(404),
    );
  });
  it('a body that is not JSON, one that is too large, an address that is not there', async () => {
    isProblem(await s.api.post('/api/machines').set('content-type', 'application/json').send('{"name":').expect(400));
    isProblem(
      await s.api
        .post('/api/machines')
        .send({ ...machineBody, notes: 'x'.repeat(9 << 20) })
        .expect(413),
    );
    isProblem(await s.api.get('/api/nowhere').expect(404));
    isProblem(await s.api.get('/api/machines/%E0%A4%A').expect(400));
  });
  it('never shows a stack', async () => {
    const problem = isProblem(await s.api.post('/api/jobs').send({ machineId: 3, complaint: [] }).expect(422));
    expect(JSON.stringify(problem)).not.toMatch(/at .*\.ts/);
  });
});

describe('two windows', () => {
  it('the second write on an old version is refused and nothing is overwritten', async () => {
    const id = await newJob();
    const write = (typed: string) =>
      s.api.post(`/api/jobs/${id}/readings`).set('If-Match', '"1"').send({ checkId: 'battery-rest', typed });
    await write('12.5').expect(201);
    const problem = isProblem(await write('12.1').expect(412));
    expect(problem).toMatchObject({ type: 'urn:pondu:stale', stored: 2, expected: 1 });
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toHaveLength(1);
  });
  it('a lost answer may be asked for again: the same reading is kept once', async () => {
    const id = await newJob();
    const sent = { id: 'once', figure: 'points.gapMetres', leftAt: 0.4e-3 };
    await s.api.post(`/api/jobs/${id}/settings`).send(sent).expect(201);
    await s.api
      .post(`/api/jobs/${id}/settings`)
      .send({ ...sent, leftAt: 0.5e-3 })
      .expect(409);
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toHaveLength(1);
  });
  it('many writes at once all land', async () => {
    const id = await newJob();
    await Promise.all(
      Array.from({ length: 40 }, (_, i) =>
        s.api
          .post(`/api/jobs/${id}/snags`)
          .send({ what: `snag ${i}`, weight: 'looks' })
          .expect(201),
      ),
    );
    const { body } = await s.api.get(`/api/jobs/${id}`);
    expect(body.snags).toHaveLength(40);
    expect(body.version).toBe(41);
  });
  it('the shop’s rules are versioned too', async () => {
    const { body } = await s.api.get('/api/house');
    await s.api
      .put('/api/house')
      .set('If-Match', `"${body.version}"`)
      .send({ ...body.house, ratePerHour: 55 })
      .expect(200);
    isProblem(
      await s.api
        .put('/api/house')
        .set('If-Match', `"${body.version}"`)
        .send({ ...body.house, ratePerHour: 60 })
        .expect(412),
    );
  });
});

describe('put away and brought back', () => {
  it('a job', async () => {
    const id = await newJob();
    await s.api.delete(`/api/jobs/${id}`).set('x-pondu', '1').expect(204);
    await s.api.get(`/api/jobs/${id}`).expect(404);
    await s.api.post(`/api/jobs/${id}/restore`).set('x-pondu', '1').expect(200);
    await s.api.get(`/api/jobs/${id}`).expect(200);
  });
  it('a closed job is reopened by its stage', async () => {
    const id = await newJob();
    await s.api.post(`/api/jobs/${id}/close`).send({ because: 'sold as it stands' }).expect(200);
    const { body } = await s.api.patch(`/api/jobs/${id}`).send({ stage: 'trace' }).expect(200);
    expect(body.job).toMatchObject({ stage: 'trace', closedAt: null, closedBecause: '' });
    await s.api.patch(`/api/jobs/${id}`).send({ stage: 'closed' }).expect(422);
  });
});

describe('edges', () => {
  it('has secure headers and a policy', async () => {
    const res = await s.api.get('/api/health').expect(200);
    expect(res.headers['content-security-policy']).toContain("script-src 'self'");
    expect(res.headers['x-content-type-options']).toBe('nosniff');
    expect(res.headers['x-powered-by']).toBeUndefined();
  });
  it('describes every route that exists, and none that does not', async () => {
    const { body } = await s.api.get('/api/openapi.json').expect(200);
    const paths = body.paths as Record<string, Record<string, unknown>>;
    expect(Object.keys(paths).length).toBeGreaterThan(20);
    const answers: string[] = [];
    // A stream that never ends is asked for in changes.test.ts.
    for (const [path, methods] of Object.entries(paths).filter(([p]) => p !== '/api/changes'))
      for (const method of Object.keys(methods)) {
        const url = path.replace(/\{\w+\}/g, 'none');
        const res = await s.api[method as 'get'](url).send(method === 'get' ? undefined : {});
        if ((res.body as { type?: string }).type === 'urn:pondu:no-such-address') answers.push(`${method} ${path}`);
      }
    expect(answers).toEqual([]);
  });
});
