import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { complaint, machineBody, newJob, newMachine, problemIn, start, type Started } from './start.ts';

let s: Started;
beforeAll(async () => {
  const web = mkdtempSync(join(tmpdir(), 'pondu-web-'));
  writeFileSync(join(web, 'index.html'), '<title>Pondu</title>');
  writeFileSync(join(web, 'enter.html'), '<title>Come in</title>');
  s = await start({ webFolder: web });
});
afterAll(() => s.stop());

describe('an import that is meant to hurt', () => {
  const post = (text: string) => s.api.post('/api/import').set('content-type', 'application/json').send(text);
  const file = (machines: string) => `{"format":"pondu","version":1,"machines":[${machines}]}`;

  it.each([
    ['machines', file(`{}${',{}'.repeat(2_600_000)}`)],
    ['jobs', file(`{"id":"a","machine":${JSON.stringify(machineBody)},"jobs":[{}${',{}'.repeat(2_600_000)}]}`)],
  ])('8 MB of empty %s: the first twenty problems and a count', async (_name, text) => {
    const { body } = problemIn(await post(text).expect(422));
    expect(body.fields).toHaveLength(20);
    expect(body.count).toBe(1000);
    expect(body.more).toBe(true);
    expect(JSON.stringify(body).length).toBeLessThan(10_000);
    expect((await s.api.get('/api/machines')).body.rows).toEqual([]);
  });
  it('one job of a million events is a mistake, told in a line', async () => {
    const job = `{"id":"j","complaint":${JSON.stringify(complaint)},"openedAt":"2026-01-01T00:00:00Z","events":[1${',1'.repeat(1_000_000)}]}`;
    const { body } = problemIn(
      await post(file(`{"id":"a","machine":${JSON.stringify(machineBody)},"jobs":[${job}]}`)).expect(422),
    );
    expect(body.title).toMatch('At most 5000 belong here');
  });
  it('nesting without end, half a file, no file', async () => {
    problemIn(await post('['.repeat(500_000)).expect(422));
    problemIn(await post(file('{"id":"a"').slice(0, -2)).expect(400));
    problemIn(await post('').expect(400));
    problemIn(await post('{"format":"pondu","version":1,"machines":[]}garbage').expect(400));
  });
  it('a key that would be a prototype is a key', async () => {
    problemIn(await post('{"__proto__":{"format":"pondu"},"version":1,"machines":[]}').expect(422));
    expect(({} as Record<string, unknown>)['format']).toBeUndefined();
  });
});

describe('requests that hang or break nothing', () => {
  it('ranges and preconditions on the backup, which has none', async () => {
    for (const headers of [
      { Range: 'bytes=999999999-' },
      { Range: 'bytes=5-2' },
      { 'If-Match': '"nothing"' },
      { 'If-Unmodified-Since': 'Thu, 01 Jan 1970 00:00:00 GMT' },
    ]) {
      const res = await s.api.get('/api/backup.sqlite').set(headers).buffer(true).expect(200);
      expect(Number(res.headers['content-length'])).toBeGreaterThan(1000);
    }
  });
  it('ranges and preconditions on a file of the page', async () => {
    problemIn(await s.api.get('/enter.html').set('Range', 'bytes=999999-').expect(416));
    problemIn(await s.api.get('/enter.html').set('If-Match', '"nothing"').expect(412));
  });
  it('NUL in an id, a charset nobody knows, broken gzip and brotli', async () => {
    problemIn(await s.api.get('/api/jobs/a%00b').expect(400));
    problemIn(await s.api.get('/api/machines/%00').expect(400));
    problemIn(
      await s.api.post('/api/machines').set('content-type', 'application/json; charset=klingon').send('{}').expect(415),
    );
    for (const encoding of ['gzip', 'br', 'deflate'])
      problemIn(
        await s.api
          .post('/api/machines')
          .set('content-type', 'application/json')
          .set('content-encoding', encoding)
          .send('not packed')
          .expect(400),
      );
    problemIn(await s.api.post('/api/machines').set('content-encoding', 'zip').send({ a: 1 }).expect(415));
  });
  it('an asset that is not there is not the page; a screen is', async () => {
    problemIn(await s.api.get('/assets/gone-1234.js').expect(404));
    problemIn(await s.api.get('/gone.css').expect(404));
    expect((await s.api.get('/jobs/any/trace').expect(200)).text).toContain('<title>Pondu');
  });
  it('too many calls are told like any other refusal', async () => {
    const few = await start({ callsAMinute: 2 });
    await few.api.get('/api/health').expect(200);
    await few.api.get('/api/health').expect(200);
    expect(problemIn(await few.api.get('/api/health').expect(429)).body.type).toBe('urn:pondu:too-many');
    await few.stop();
  });
});

describe('a reading that its check cannot show', () => {
  it.each([
    ['a word for volts', 'battery-rest', { kind: 'word', word: 'constructor' }],
    ['OL for volts', 'battery-rest', { kind: 'open' }],
    ['a word that is none', 'spark-coil-lead', { kind: 'word', word: 'constructor' }],
    ['a number for a word', 'spark-coil-lead', { kind: 'number', value: 3 }],
  ])('%s is refused by the field', async (_name, checkId, value) => {
    const id = await newJob(s);
    const { body } = problemIn(await s.api.post(`/api/jobs/${id}/readings`).send({ checkId, value }).expect(422));
    expect((body.fields as { field: string }[])[0]!.field).toBe('value');
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toEqual([]);
  });
  it('one that was stored does not poison the trace', async () => {
    const id = await newJob(s);
    const reading = {
      id: 'r',
      checkId: 'spark-coil-lead',
      value: { kind: 'word', word: 'constructor' },
      at: '2026-01-01T00:00:00Z',
    };
    await s.store.models.events.create({
      jobId: id,
      eventId: 'r',
      type: 'reading',
      body: JSON.stringify({ type: 'reading', reading }),
    });
    const { body } = await s.api.get(`/api/jobs/${id}/trace`).expect(200);
    const shares = (body.suspects as { share: unknown }[]).map((x) => x.share);
    expect(shares.every((x) => typeof x === 'number' && x >= 0 && x <= 1)).toBe(true);
  });
  it('a soak of so many minutes can be asked about', async () => {
    const id = await newJob(s);
    await s.api.get(`/api/jobs/${id}/trace?warmth=hot&soakMinutes=25`).expect(200);
    problemIn(await s.api.get(`/api/jobs/${id}/trace?soakMinutes=long`).expect(422));
  });
  it('a peak of hundreds of volts is no surprise on a discharge ignition', async () => {
    const machineId = await newMachine(s, {
      fitOut: {
        ...machineBody.fitOut,
        cylinders: 3,
        trails: [{ trail: 'spark', kind: 'capacitor-discharge', options: {} }],
      },
    });
    const id = await newJob(s, complaint, machineId);
    const send = (typed: string) =>
      s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'charge-peak-loaded', typed });
    await send('210 V').expect(201);
    expect(problemIn(await send('9 kV').expect(422)).body.type).toBe('urn:pondu:absurd');
  });
});
