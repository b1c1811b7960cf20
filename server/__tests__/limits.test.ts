import { createHash } from 'node:crypto';
import { deflateSync } from 'node:zlib';
import fc from 'fast-check';
import ICAL from 'ical.js';
import sharp from 'sharp';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { JOB_LIMITS } from '@pondu/core/schema';
import { dropLoosePictures } from '../src/store/pictures.ts';
import { complaint, machineBody, newJob, newMachine, problemIn, start, type Started } from './start.ts';

let s: Started;
beforeEach(async () => void (s = await start()));
afterEach(() => s.stop());

const exported = async (from: Started): Promise<string> =>
  (await from.api.get('/api/export?photos=true').buffer(true).expect(200)).text;
/** The whole shop, read into an empty one and written out again. */
async function thereAndBack(): Promise<[string, string]> {
  const out = await exported(s);
  const other = await start();
  await other.api.post('/api/import').set('content-type', 'application/json').send(out).expect(201);
  const again = await exported(other);
  await other.stop();
  return [out, again];
}
/** Where two files part, with a little around it; nothing where they do not. */
function differing(one: string, other: string): string {
  if (one === other) return '';
  const at = [...one].findIndex((c, k) => c !== other[k]);
  return `${one.slice(at - 60, at + 60)} | ${other.slice(at - 60, at + 60)}`;
}
const putPicture = (job: string, id: string, bytes: Buffer) =>
  s.api
    .put(`/api/jobs/${job}/pictures/${id}`)
    .set({ 'content-type': 'application/octet-stream', 'x-pondu': '1' })
    .send(bytes);
const plain = (width = 8, height = 6) => sharp({ create: { width, height, channels: 3, background: '#a05020' } });
const EXIF = { IFD0: { Make: 'A maker' }, IFD3: { GPSLatitude: '51/1 30/1 0/1' } };

describe('whatever the API takes in', () => {
  const words = fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }).filter((t) => !t.includes('\0'));
  const entry = fc.oneof(
    fc.record({
      path: fc.constant('readings'),
      body: fc.record({
        checkId: fc.constant('battery-rest'),
        value: fc.record({ kind: fc.constant('number'), value: fc.double({ min: 0, max: 20, noNaN: true }) }),
        note: words,
        confirmed: fc.constant(true),
      }),
    }),
    fc.record({
      path: fc.constant('fixes'),
      body: fc.record({ what: words, how: fc.constantFrom('cleaned', 'replaced'), repairId: fc.constant('') }),
    }),
    fc.record({
      path: fc.constant('snags'),
      body: fc.record({ what: words, weight: fc.constantFrom('looks', 'soon', 'safety') }),
    }),
    fc.record({ path: fc.constant('asides'), body: fc.record({ checkId: words, note: words }) }),
    fc.record({ path: fc.constant('cares'), body: fc.record({ cautions: fc.constant(['marine']), about: words }) }),
    fc.record({ path: fc.constant('settings'), body: fc.record({ figure: words, left: words }) }),
  );
  it('comes back byte for byte from its file, read into an empty shop', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(entry, { minLength: 1, maxLength: 12 }), words, async (entries, said) => {
        const machineId = await newMachine(s, { name: said.trim() || 'Car' });
        const jobs = [await newJob(s, { ...complaint, words: said }, machineId), await newJob(s, complaint, machineId)];
        for (const [k, { path, body }] of entries.entries())
          await s.api.post(`/api/jobs/${jobs[k % 2]!}/${path}`).send(body);
        const [out, again] = await thereAndBack();
        expect(differing(out, again)).toBe('');
      }),
      { numRuns: 6, seed: 26 },
    );
  }, 90_000);
  it('with its photos, whether or not a camera wrote into them', async () => {
    const job = await newJob(s);
    await putPicture(job, 'plain', await plain().png().toBuffer()).expect(201);
    await putPicture(
      job,
      'camera',
      await plain().jpeg().withMetadata({ orientation: 6, exif: EXIF }).toBuffer(),
    ).expect(201);
    const [out, again] = await thereAndBack();
    expect(differing(out, again)).toBe('');
    expect(out).toContain('"camera"');
  });
  it('ends where a file ends: one entry, snag or photo more is refused by name', async () => {
    const job = await newJob(s);
    const body = JSON.stringify({
      type: 'aside',
      aside: { id: 'x', checkId: 'c', note: '', at: '2026-01-01T00:00:00Z' },
    });
    await s.store.models.events.bulkCreate(
      Array.from({ length: JOB_LIMITS.events }, (_, k) => ({
        jobId: job,
        eventId: `e${k}`,
        type: 'aside' as const,
        body: body.replace('"x"', `"e${k}"`),
      })),
    );
    const more = problemIn(await s.api.post(`/api/jobs/${job}/asides`).send({ checkId: 'c', note: '' }).expect(409));
    expect(more.body).toMatchObject({ type: 'urn:pondu:full', title: expect.stringContaining('5000 entries') });
    // What is there already is still answered as the first time.
    const snag = { what: 'Belt', weight: 'looks' };
    const at = '2026-01-01T00:00:00Z';
    await s.store.models.snags.bulkCreate(
      Array.from({ length: JOB_LIMITS.snags }, (_, k) => ({
        id: `s${k}`,
        jobId: job,
        body: JSON.stringify({ ...snag, id: `s${k}`, at }),
      })),
    );
    problemIn(await s.api.post(`/api/jobs/${job}/snags`).send(snag).expect(409));
    await s.api.post(`/api/jobs/${job}/snags`).send({ id: 's1', what: 'Belt, frayed' }).expect(201);
    const [out, again] = await thereAndBack();
    expect(differing(out, again)).toBe('');
  });
});

describe('photos, whoever sends them', () => {
  const stored = async (id: string) => (await s.store.models.pictures.findByPk(id))!.bytes;
  it.each(['jpeg', 'png', 'webp'] as const)('lose what a camera wrote into a %s, and stand upright', async (format) => {
    const job = await newJob(s);
    const sent = await plain().toFormat(format).withMetadata({ orientation: 6, exif: EXIF }).toBuffer();
    expect((await sharp(sent).metadata()).exif).toBeDefined();
    await putPicture(job, 'a', sent).expect(201);
    const kept = await sharp(await stored('a')).metadata();
    expect(kept).toMatchObject({ format, width: 6, height: 8 });
    expect([kept.exif, kept.xmp, kept.iptc]).toEqual([undefined, undefined, undefined]);
    // Sent again as its answer was lost, it is the same one.
    await putPicture(job, 'a', sent).expect(201);
  });
  /** A picture by its head alone: so wide and high, and next to nothing in it. */
  function headed(width: number, height: number): Buffer {
    const chunk = (type: string, data: Buffer) => {
      const body = Buffer.concat([Buffer.from(type), data]);
      const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
      length.writeUInt32BE(data.length);
      sum.writeUInt32BE(crc(body));
      return Buffer.concat([length, body, sum]);
    };
    const head = Buffer.alloc(13);
    head.writeUInt32BE(width, 0);
    head.writeUInt32BE(height, 4);
    head.set([8, 2, 0, 0, 0], 8);
    const magic = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
    return Buffer.concat([
      magic,
      chunk('IHDR', head),
      chunk('IDAT', deflateSync(Buffer.alloc(64))),
      chunk('IEND', Buffer.alloc(0)),
    ]);
  }
  /** CRC-32 as PNG has it (ISO 3309). */
  function crc(bytes: Buffer): number {
    let sum = ~0;
    for (const byte of bytes) {
      sum ^= byte;
      for (let k = 0; k < 8; k++) sum = sum & 1 ? (sum >>> 1) ^ 0xedb88320 : sum >>> 1;
    }
    return ~sum >>> 0;
  }
  it('are refused where they are larger than any camera’s, before they are unpacked', async () => {
    const job = await newJob(s);
    const { body } = problemIn(await putPicture(job, 'bomb', headed(30_000, 30_000)).expect(413));
    expect(body.title).toMatch(/900 million pixels; 50 are the most/);
  });
  it('come in from a file by the same door', async () => {
    const file = (bytes: Buffer) => ({
      format: 'pondu',
      version: 2,
      machines: [
        {
          id: 'm',
          machine: machineBody,
          jobs: [
            {
              id: 'j',
              complaint,
              openedAt: '2026-01-01T00:00:00Z',
              events: [],
              pictures: [
                {
                  id: 'p',
                  type: 'image/png',
                  sha256: createHash('sha256').update(bytes).digest('hex'),
                  base64: bytes.toString('base64'),
                },
              ],
            },
          ],
        },
      ],
    });
    for (const bad of [Buffer.from('<svg onload="alert(1)"/>'), headed(30_000, 30_000)]) {
      const { body } = problemIn(await s.api.post('/api/import').send(file(bad)).expect(422));
      expect((body['fields'] as { field: string }[])[0]!.field).toBe('machines.0.jobs.0.pictures.0');
    }
    await s.api
      .post('/api/import')
      .send(file(await plain().jpeg().withMetadata({ orientation: 6, exif: EXIF }).toBuffer()))
      .expect(201);
    expect((await sharp(await stored('p')).metadata()).exif).toBeUndefined();
  });
  it('go after a day in which nothing was said of them; those that were spoken of stay', async () => {
    const job = await newJob(s);
    const picture = await plain().png().toBuffer();
    for (const id of ['said', 'loose']) await putPicture(job, id, picture).expect(201);
    await s.api.post(`/api/jobs/${job}/photos`).send({ picture: 'said', words: 'cap off' }).expect(201);
    const left = async () => (await s.store.models.pictures.findAll({ attributes: ['id'] })).map((p) => p.id).sort();
    await dropLoosePictures(s.store, Date.now() + 3_600_000);
    expect(await left()).toEqual(['loose', 'said']);
    await dropLoosePictures(s.store, Date.now() + 25 * 3_600_000);
    expect(await left()).toEqual(['said']);
  });
});

describe('calendars', () => {
  /** Read by another library than the one that wrote them. */
  const read = (text: string) =>
    new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((v) => new ICAL.Event(v));
  it('stand by another reader, and one date beyond all calendars hides no other', async () => {
    const job = await newJob(s);
    const due = (dueAt: string) => s.api.patch(`/api/jobs/${job}`).send({ dueAt });
    problemIn(await due('0001-01-01T00:00:00Z').expect(422));
    await due('2026-12-01T09:30:00Z').expect(200);
    const other = await newJob(s);
    const row = (await s.store.models.jobs.findByPk(other))!;
    await row.update({ body: JSON.stringify({ ...JSON.parse(row.body), dueAt: '0001-01-01T00:00:00Z' }) });
    const [event, ...more] = read((await s.api.get('/api/due.ics').expect(200)).text);
    expect(more).toEqual([]);
    expect(event!.startDate.toJSDate().toISOString()).toBe('2026-12-01T09:30:00.000Z');
    expect(event!.component.getAllSubcomponents('valarm')).toHaveLength(1);
  });
  it('have what is overdue today, for all of the day, with its alarm', async () => {
    const service = {
      id: 'oil',
      what: 'Oil',
      everyMonths: 12,
      everyMeter: null,
      lastAt: '2020-01-31',
      lastMeter: null,
    };
    const id = await newMachine(s, { book: { services: [service] } });
    const [event] = read((await s.api.get(`/api/machines/${id}/due.ics`).expect(200)).text);
    const today = new Date().toISOString().slice(0, 10);
    expect(event!.startDate).toMatchObject({ isDate: true });
    expect(event!.startDate.toString()).toBe(today);
    expect(event!.duration.toSeconds()).toBe(86_400);
    expect(event!.summary).toMatch(/Oil, overdue since 2021-01-31/);
    expect(event!.component.getAllSubcomponents('valarm')).toHaveLength(1);
  });
});

describe('what cannot be', () => {
  it('a character that ends texts for SQLite is refused in ids, filters and words', async () => {
    const job = await newJob(s);
    for (const path of ['/api/jobs?machine=a%00b', '/api/jobs?q=a%00b', '/api/machines?after=a%00', '/api/jobs/a%00b'])
      expect((await s.api.get(path)).status).toBeOneOf([400, 422]);
    const sent = { checkId: 'battery-rest', value: { kind: 'number', value: 12 }, supersedes: 'a\0b' };
    const { body } = problemIn(await s.api.post(`/api/jobs/${job}/readings`).send(sent).expect(422));
    expect((body['fields'] as { field: string }[])[0]!.field).toBe('supersedes');
    problemIn(await s.api.post('/api/jobs').send({ machineId: 'a\0b', complaint }).expect(422));
  });
  it('a figure beyond every instrument is refused whoever confirms it', async () => {
    const job = await newJob(s);
    for (const value of [1e308, -1e308, 1e12]) {
      const sent = { checkId: 'battery-rest', value: { kind: 'number', value }, confirmed: true };
      const { body } = problemIn(await s.api.post(`/api/jobs/${job}/readings`).send(sent).expect(422));
      expect(body.title).toMatch(/more than any instrument shows/);
    }
    await s.api.get(`/api/jobs/${job}/trace`).expect(200);
  });
  it('and one that is stored already takes no trace down', async () => {
    const job = await newJob(s);
    const reading = {
      id: 'r',
      checkId: 'battery-rest',
      value: { kind: 'number', value: 1e308 },
      at: '2026-01-01T00:00:00Z',
    };
    for (const id of ['r', 'q'])
      await s.store.models.events.create({
        jobId: job,
        eventId: id,
        type: 'reading',
        body: JSON.stringify({ type: 'reading', reading: { ...reading, id } }),
      });
    const { body } = await s.api.get(`/api/jobs/${job}/trace`).expect(200);
    expect((body as { outside: number }).outside).toBeGreaterThanOrEqual(0);
    await s.api.get(`/api/jobs/${job}/proof`).expect(200);
  });
  it('an id of a job that was put away is answered as such', async () => {
    const job = await newJob(s);
    const { machineId } = (await s.api.get(`/api/jobs/${job}`).expect(200)).body as { machineId: string };
    await s.api.delete(`/api/jobs/${job}`).set('x-pondu', '1').expect(204);
    const again = problemIn(await s.api.post('/api/jobs').send({ id: job, machineId, complaint }).expect(409));
    expect(again.body).toMatchObject({ type: 'urn:pondu:away', title: expect.stringContaining('put away') });
  });
  it('what a stranger says of forwarding is passed over in silence', async () => {
    const said = vi.spyOn(console, 'error').mockImplementation(() => undefined);
    await s.api.get('/api/jobs').set({ 'X-Forwarded-For': '10.0.0.1', Forwarded: 'for=10.0.0.1' }).expect(200);
    expect(said).not.toHaveBeenCalled();
    said.mockRestore();
  });
});
