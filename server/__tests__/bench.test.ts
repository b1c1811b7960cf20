import { createHash } from 'node:crypto';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { unpacked } from '@pondu/core';
import { newJob, newMachine, problemIn, start, type Started } from './start.ts';

let s: Started;
let job: string;
beforeEach(async () => {
  s = await start();
  job = await newJob(s);
});
afterEach(() => s.stop());

/** One dot, as small as the formats go. */
const PNG = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const sha = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex');
const putPicture = (id: string, bytes: Buffer, on = job) =>
  s.api
    .put(`/api/jobs/${on}/pictures/${id}`)
    .set({ 'content-type': 'application/octet-stream', 'x-pondu': '1' })
    .send(bytes);

describe('pictures', () => {
  it('goes up once, comes back as it was, and is known by its hash', async () => {
    await putPicture('a-1', PNG).expect(201);
    await putPicture('a-1', PNG).expect(201);
    const back = await s.api.get(`/api/jobs/${job}/pictures/a-1`).buffer(true).expect(200);
    expect(back.headers['content-type']).toBe('image/png');
    expect(back.headers['etag']).toBe(`"${sha(PNG)}"`);
    expect(sha(back.body as Buffer)).toBe(sha(PNG));
    const [[row]] = (await s.store.sequelize.query('SELECT count(*) AS n FROM pictures')) as unknown as [
      { n: number }[],
    ];
    expect(row!.n).toBe(1);
  });
  it('another picture under the same id is refused', async () => {
    await putPicture('a-1', PNG).expect(201);
    const other = Buffer.concat([PNG, Buffer.from([0])]);
    expect(problemIn(await putPicture('a-1', other).expect(409)).body.type).toBe('urn:pondu:id-taken');
  });
  it('what is no picture is refused by what it is, whatever it is called', async () => {
    const send = (bytes: Buffer, name: string) => putPicture('x', bytes).set('x-file-name', name);
    const pdf = problemIn(await send(Buffer.from('%PDF-1.7\n%âãÏÓ\n1 0 obj\n'), 'wires.jpg').expect(415)).body;
    expect(pdf.title).toMatch(/wires\.jpg.*application\/pdf.*JPEG, PNG or WebP.*not kept/);
    expect(problemIn(await send(Buffer.from('hello there, this is text'), 'a.png').expect(415)).body.title).toMatch(
      /of no kind/,
    );
    expect(problemIn(await send(Buffer.alloc(0), 'a.png').expect(415)).body.title).toMatch(/is empty/);
    const gif = Buffer.from('R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7', 'base64');
    expect(problemIn(await send(gif, 'a.gif').expect(415)).body.title).toMatch(/image\/gif/);
  });
  it('more than twenty megabytes is refused, and an id that is a path', async () => {
    const large = Buffer.concat([PNG, Buffer.alloc(20 * 1024 * 1024)]);
    expect(problemIn(await putPicture('x', large).expect(413)).body.title).toMatch(/too large|20 MB/);
    problemIn(await putPicture('..%2Fx', PNG).expect(422));
    problemIn(await putPicture('x', PNG, 'no-such-job').expect(404));
    problemIn(await s.api.get(`/api/jobs/${job}/pictures/none`).expect(404));
  });
  it('leaves with the machine where it is wanted, and comes in again by its hash', async () => {
    const photo = {
      picture: 'p-1',
      station: 'cap',
      words: 'before',
      pins: [{ x: 0.2, y: 0.4, words: 'to coil' }],
      onCard: true,
    };
    await putPicture('p-1', PNG).expect(201);
    await s.api.post(`/api/jobs/${job}/photos`).send(photo).expect(201);
    const plain = (await s.api.get('/api/export').expect(200)).text;
    expect(plain).not.toContain('base64');
    const out = (await s.api.get('/api/export?photos=true').expect(200)).body as {
      machines: { jobs: { pictures: { sha256: string }[] }[] }[];
    };
    expect(out.machines[0]!.jobs[0]!.pictures[0]!.sha256).toBe(sha(PNG));
    const other = await start();
    await other.api.post('/api/import').send(out).expect(201);
    const back = await other.api.get(`/api/jobs/${job}/pictures/p-1`).buffer(true).expect(200);
    expect(sha(back.body as Buffer)).toBe(sha(PNG));
    await other.stop();
    // One that was damaged on the way is told by its place, and nothing of the file comes in.
    const damaged = structuredClone(out);
    damaged.machines[0]!.jobs[0]!.pictures[0]!.sha256 = sha(Buffer.from('else'));
    const third = await start();
    const refused = problemIn(await third.api.post('/api/import').send(damaged).expect(422));
    expect(JSON.stringify(refused.body)).toMatch(/machines\.0\.jobs\.0\.pictures\.0\.sha256/);
    expect((await third.api.get('/api/machines')).body.rows).toEqual([]);
    await third.stop();
  });
});

describe('benches, times and the book', () => {
  it('a bench is written down once however often it is sent, and read again as it was', async () => {
    const sheet = { id: 's1', body: { kind: 'top', before: 26, after: 38 } };
    await s.api.post(`/api/jobs/${job}/sheets`).send(sheet).expect(201);
    const again = await s.api.post(`/api/jobs/${job}/sheets`).send(sheet).expect(201);
    const events = (again.body as { events: { type: string; sheet?: { body: object } }[] }).events;
    expect(events.filter((e) => e.type === 'sheet').map((e) => e.sheet!.body)).toEqual([sheet.body]);
    problemIn(
      await s.api
        .post(`/api/jobs/${job}/sheets`)
        .send({ body: { kind: 'soup' } })
        .expect(422),
    );
    problemIn(
      await s.api
        .post(`/api/jobs/${job}/sheets`)
        .send({ body: { kind: 'top', before: 'x', after: 1 } })
        .expect(422),
    );
  });
  it('a timing mark that was found off is carried to the machine’s next job, and one made anew as well', async () => {
    const machineId = await newMachine(s);
    const tops = async (id: string) => {
      const { events } = (await s.api.get(`/api/jobs/${id}`).expect(200)).body as {
        events: { type: string; sheet?: { id: string; body: { kind: string } } }[];
      };
      return events.flatMap((e) => (e.sheet?.body.kind === 'top' ? [e.sheet.id] : []));
    };
    const first = await newJob(s, undefined, machineId);
    expect(await tops(first)).toEqual([]);
    await s.api
      .post(`/api/jobs/${first}/sheets`)
      .send({ id: 'off', body: { kind: 'top', before: 52, after: 68 } })
      .expect(201);
    const second = await newJob(s, undefined, machineId);
    expect(await tops(second)).toEqual(['off']);
    await s.api
      .post(`/api/jobs/${second}/sheets`)
      .send({ id: 'anew', body: { kind: 'top', before: 60, after: 60 } })
      .expect(201);
    expect(await tops(await newJob(s, undefined, machineId))).toEqual(['anew']);
    // Another machine's mark is its own.
    expect(await tops(await newJob(s))).toEqual([]);
  });
  it('the light at a speed is a reading like any other; on a machine without told timing it is refused', async () => {
    const trails = [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      { trail: 'timing', kind: 'weights', options: {} },
    ];
    const fitOut = { volts: 12, earth: 'negative', cylinders: 4, compressionRatio: 8, trails };
    const timed = await newJob(s, undefined, await newMachine(s, { fitOut }));
    const probe = {
      instrument: 'timing light',
      live: 'timing-body',
      earth: '',
      state: 'fast',
      unplugged: [],
      rpm: 2000,
      hose: 'off',
    };
    const sent = { checkId: 'whatever', probe, typed: '18', note: '' };
    const ok = await s.api.post(`/api/jobs/${timed}/readings`).send(sent);
    expect([201, 422]).toContain(ok.status);
    problemIn(await s.api.post(`/api/jobs/${job}/readings`).send(sent).expect(422));
  });
  it('a job that waits for a time stands in the calendar file until it no longer waits', async () => {
    const dueAt = '2030-05-04T07:30:00.000Z';
    await s.api.patch(`/api/jobs/${job}`).send({ waitsFor: 'cold start', dueAt }).expect(200);
    const due = (
      await s.api
        .get('/api/due.ics')
        .expect(200)
        .expect('content-type', /text\/calendar/)
    ).text;
    expect(due).toMatch(/BEGIN:VCALENDAR[\s\S]*DTSTART:20300504T073000Z[\s\S]*END:VCALENDAR/);
    expect(due).toContain('SUMMARY:Test car: cold start');
    await s.api.patch(`/api/jobs/${job}`).send({ waitsFor: '', dueAt: null }).expect(200);
    expect((await s.api.get('/api/due.ics').expect(200)).text).not.toContain('BEGIN:VEVENT');
    problemIn(await s.api.patch(`/api/jobs/${job}`).send({ dueAt: 'tomorrow' }).expect(422));
  });
  it('what is due on a machine by date stands in its own file; what goes by the meter alone does not', async () => {
    const services = [
      { id: 'oil', what: 'Oil', everyMonths: 12, lastAt: '2029-03-31' },
      { id: 'chain', what: 'Chain', everyMeter: 100, lastMeter: 10 },
    ];
    const id = await newMachine(s, { book: { services } });
    const text = (await s.api.get(`/api/machines/${id}/due.ics`).expect(200)).text;
    expect(text).toContain('SUMMARY:Test car: Oil');
    expect(text).toMatch(/DTSTART;VALUE=DATE:20300331/);
    expect(text).not.toContain('Chain');
    problemIn(await s.api.get('/api/machines/none/due.ics').expect(404));
    problemIn(
      await s.api
        .put(`/api/machines/${id}`)
        .send({ book: { services: [{ id: 'x', what: 'Nothing' }] } })
        .expect(422),
    );
  });
  it('a job’s first screen is worked out with its bay, and holds for these versions alone', async () => {
    expect((await s.api.get(`/api/jobs/${job}/ahead`).expect(204)).text).toBe('');
    problemIn(await s.api.get('/api/jobs/none/ahead').expect(404));
    await s.api.get('/api/jobs?stage=open').expect(200);
    await s.summaries.idle();
    const { stand, packed } = (await s.api.get(`/api/jobs/${job}/ahead`).expect(200)).body as {
      stand: string;
      packed: string;
    };
    const stored = (await s.api.get(`/api/jobs/${job}`)).body as { version: number };
    expect(stand.split('/')[0]).toBe(String(stored.version));
    const now = 'faultPresent=yes';
    const trace = (await s.api.get(`/api/jobs/${job}/trace?${now}`).expect(200)).body as { ranked: { id: string }[] };
    expect(unpacked(packed).trace.ranked.map((r) => r.id)).toEqual(trace.ranked.map((r) => r.id));
    s.summaries.want([]);
    await s.api.patch(`/api/jobs/${job}`).send({ title: 'changed' }).expect(200);
    const after = await s.api.get(`/api/jobs/${job}/ahead`);
    if (after.status === 200) expect((after.body as { stand: string }).stand).not.toBe(stand);
    else expect(after.status).toBe(204);
  });
  it('the book is the machine’s own jobs with all that happened on them', async () => {
    const machineId = ((await s.api.get(`/api/jobs/${job}`)).body as { machineId: string }).machineId;
    await s.api
      .post(`/api/jobs/${job}/settings`)
      .send({ figure: 'points.gapMetres', foundAt: 0.0003, leftAt: 0.0004, leftTyped: '16 thou' })
      .expect(201);
    await newJob(s);
    const jobs = (await s.api.get(`/api/machines/${machineId}/book`).expect(200)).body as {
      id: string;
      events: { setting: object }[];
    }[];
    expect(jobs.map((j) => j.id)).toEqual([job]);
    expect(jobs[0]!.events[0]!.setting).toMatchObject({ leftTyped: '16 thou', leftAt: 0.0004 });
  });
});
