import { entryOf } from '@pondu/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { reading, stored } from '../__tests__/support.tsx';
import { jobOf, jobMade, openJob } from '../api/newJob.ts';
import { get } from '../api/client.ts';
import { entryWords, fieldWords } from '../words/entries.ts';
import type { Entry } from './entry.ts';
import { inMemory, keep } from './keep.ts';
import { link } from './link.ts';
import { overlaid } from './overlay.ts';
import { outbox } from './outbox.ts';

type Answer = { status: number; body?: unknown } | 'no answer';
let sent: { url: string; method: string; body: Record<string, unknown>; version: string | undefined }[];
let answers: (url: string, n: number) => Answer;

beforeEach(async () => {
  sent = [];
  for (const e of outbox.entries) await outbox.drop(e.id);
  link.state = 'here';
  vi.stubGlobal('fetch', (url: string, init: RequestInit = {}) => {
    const headers = (init.headers ?? {}) as Record<string, string>;
    const got = answers(url, sent.length);
    sent.push({
      url,
      method: init.method ?? 'GET',
      body: typeof init.body === 'string' ? (JSON.parse(init.body) as Record<string, unknown>) : {},
      version: headers['if-match'],
    });
    if (got === 'no answer') return Promise.reject(new TypeError('Failed to fetch'));
    return Promise.resolve(new Response(JSON.stringify(got.body ?? {}), { status: got.status }));
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
  link.state = 'unknown';
});

const ok = (): Answer => ({ status: 201, body: stored() });
const enter = (typed: string) =>
  outbox.enter({
    jobId: 'job-1',
    method: 'POST',
    path: '/readings',
    body: { checkId: 'battery-rest', typed, value: { kind: 'number', value: Number(typed) } },
    version: 3,
  });
const patch = (body: Record<string, unknown>) =>
  outbox.enter({ jobId: 'job-1', method: 'PATCH', path: '', body, version: 3 });

describe('what is entered', () => {
  it('goes up at once, on the version that was on screen, with an id of its own', async () => {
    answers = ok;
    expect(await enter('12.4')).toEqual({ state: 'sent', job: stored() });
    expect(sent[0]).toMatchObject({ url: '/api/jobs/job-1/readings', version: '"3"', body: { typed: '12.4' } });
    expect(sent[0]!.body['id']).toMatch(/^[0-9a-f-]{36}$/);
    expect(sent[0]!.body).not.toHaveProperty('at');
    expect(outbox.entries).toEqual([]);
  });
  it('waits where there is no answer, and goes up with the same id: an answer lost makes no second reading', async () => {
    answers = () => 'no answer';
    expect((await enter('12.4')).state).toBe('waiting');
    answers = ok;
    await outbox.flush();
    expect(sent).toHaveLength(2);
    expect(sent[1]!.body['id']).toBe(sent[0]!.body['id']);
    // A fact stands beside what others wrote meanwhile.
    expect(sent[1]!.version).toBeUndefined();
    expect(outbox.entries).toEqual([]);
  });
  it('goes up in the order in which it was entered, and what comes after waits behind it', async () => {
    answers = () => 'no answer';
    await enter('1');
    link.state = 'gone';
    await enter('2');
    expect(sent).toHaveLength(1);
    await enter('3');
    link.state = 'here';
    answers = ok;
    await outbox.flush();
    expect(sent.slice(1).map((s) => s.body['typed'])).toEqual(['1', '2', '3']);
  });
  it('goes up though this browser’s own store does not answer', async () => {
    vi.useFakeTimers();
    const store = await keep();
    const never = new Promise<never>(() => undefined);
    const put = vi.spyOn(store, 'putEntry').mockReturnValue(never);
    const drop = vi.spyOn(store, 'dropEntry').mockReturnValue(never);
    answers = ok;
    const entered = enter('12.4');
    await vi.runAllTimersAsync();
    expect((await entered).state).toBe('sent');
    expect(sent).toHaveLength(1);
    for (const spy of [put, drop]) spy.mockRestore();
    vi.useRealTimers();
  });
  it('goes up though this browser’s store is full, and the page says so until it takes something again', async () => {
    const store = await keep();
    const put = vi.spyOn(store, 'putEntry').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    answers = ok;
    expect((await enter('12.4')).state).toBe('sent');
    expect(sent).toHaveLength(1);
    expect(outbox.cannotKeep).toBe(true);
    // Without a signal it is kept for as long as the page is open.
    link.state = 'gone';
    expect((await enter('12.5')).state).toBe('waiting');
    expect(outbox.entries).toHaveLength(1);
    put.mockRestore();
    link.state = 'here';
    await outbox.flush();
    await enter('12.6');
    expect(sent.map((s) => s.body['typed'])).toEqual(['12.4', '12.5', '12.6']);
    expect(outbox.cannotKeep).toBe(false);
  });
  it('left before its answer is seen, goes up as the same entry when it is sent again; answered, as another', async () => {
    const fix = () =>
      outbox.enter({ jobId: 'job-1', method: 'POST', path: '/fixes', body: { what: 'New points' }, version: 3 });
    const ids = () => sent.map((s) => s.body['id']);
    // The page is left: what was asked is on its way, and nobody is there to see what comes of it.
    const answering = fetch;
    answers = ok;
    vi.stubGlobal('fetch', (url: string, init: RequestInit) => {
      void answering(url, init);
      return new Promise(() => undefined);
    });
    void fix();
    await vi.waitFor(() => expect(sent).toHaveLength(1));
    vi.stubGlobal('fetch', answering);
    await fix();
    expect(ids()[1]).toBe(ids()[0]);
    await fix();
    expect(ids()[2]).not.toBe(ids()[0]);
  });
  it('waits while the workshop’s disk is full, and goes up by itself once there is room', async () => {
    vi.useFakeTimers();
    answers = () => ({ status: 507, body: { type: 'urn:pondu:disk-full', title: 'The disk is full.' } });
    expect((await enter('12.4')).state).toBe('waiting');
    expect(outbox.diskFull).toBe(true);
    expect(outbox.entries).toMatchObject([{ state: 'waiting' }]);
    answers = ok;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(outbox.entries).toEqual([]);
    expect(outbox.diskFull).toBe(false);
    expect(sent[1]!.body['id']).toBe(sent[0]!.body['id']);
    vi.useRealTimers();
  });
  it('on another tab of this browser goes up from here, and is shown here until it has', async () => {
    answers = ok;
    const there: Entry = {
      id: 'there',
      seq: 1,
      at: new Date().toISOString(),
      jobId: 'job-1',
      method: 'POST',
      path: '/readings',
      body: { checkId: 'battery-rest', typed: '11.9' },
      version: 3,
      state: 'waiting',
      why: '',
      code: '',
    };
    await (await keep()).putEntry(there);
    await outbox.load();
    expect(outbox.entries.map((e) => e.id)).toEqual(['there']);
    await outbox.flush();
    expect(sent.map((x) => x.body['id'])).toEqual(['there']);
    expect(outbox.entries).toEqual([]);
    expect(await (await keep()).entries()).toEqual([]);
  });
  it('read as waiting while it was on its way, and then refused or sent, waits no longer', async () => {
    for (const status of [422, 201]) {
      let answer = () => {};
      const answered = new Promise<void>((done) => (answer = done));
      answers = ok;
      const { fetch: quick } = globalThis;
      vi.stubGlobal('fetch', async (url: string, init: RequestInit) => {
        await answered;
        return status === 201 ? quick(url, init) : new Response('{"title":"No"}', { status });
      });
      const entering = enter('12.4').catch(() => 'refused');
      await vi.waitFor(async () => expect(await (await keep()).entries()).toHaveLength(1));
      await outbox.load();
      expect(outbox.entries).toHaveLength(1);
      answer();
      await entering;
      expect(outbox.entries).toEqual([]);
      expect(await (await keep()).entries()).toEqual([]);
    }
  });
  it('stops at the first that finds no answer, and loses none', async () => {
    link.state = 'gone';
    for (const typed of ['1', '2', '3']) await enter(typed);
    answers = (_url, n) => (n === 0 ? ok() : 'no answer');
    await outbox.flush();
    expect(outbox.entries.map((e) => e.body['typed'])).toEqual(['2', '3']);
    expect((await (await keep()).entries()).map((e) => e.body['typed'])).toEqual(['2', '3']);
  });
  it('that is refused at once is not kept: it is still in its box', async () => {
    answers = () => ({ status: 422, body: { type: 'urn:pondu:absurd', title: 'Range?', fields: [] } });
    await expect(enter('126')).rejects.toMatchObject({ code: 'absurd' });
    expect(outbox.entries).toEqual([]);
    expect(await (await keep()).entries()).toEqual([]);
  });
  it('that is refused later stays, with why, and may be let stand or thrown away', async () => {
    link.state = 'gone';
    await enter('126');
    await enter('12');
    answers = (_url, n) =>
      n === 0 ? { status: 422, body: { type: 'urn:pondu:absurd', title: 'Range?', fields: [] } } : ok();
    link.state = 'here';
    await outbox.flush();
    expect(outbox.entries).toMatchObject([{ state: 'refused', why: 'Range?', code: 'absurd' }]);
    expect(sent.map((s) => s.body['typed'])).toEqual(['126', '12']);
    await outbox.again(outbox.entries[0]!.id, { confirmed: true });
    expect(sent[2]!.body).toMatchObject({ typed: '126', confirmed: true });
    expect(outbox.entries).toEqual([]);
  });
  it('a change of the job that another device changed meanwhile overwrites nothing, and is kept beside it', async () => {
    link.state = 'gone';
    await patch({ waitsFor: 'part' });
    answers = () => ({ status: 412, body: { type: 'urn:pondu:stale', title: 'Something else changed this job.' } });
    await outbox.flush();
    expect(sent[0]).toMatchObject({ method: 'PATCH', version: '"3"' });
    expect(outbox.entries).toMatchObject([{ state: 'conflict', body: { waitsFor: 'part' } }]);
    answers = ok;
    await outbox.again(outbox.entries[0]!.id);
    expect(sent[1]!.version).toBeUndefined();
    expect(outbox.entries).toEqual([]);
  });
  it('two changes made without a signal follow one another', async () => {
    link.state = 'gone';
    await patch({ stage: 'repair' });
    await patch({ waitsFor: 'part' });
    answers = () => ({ status: 200, body: { ...stored(), version: 4 } });
    await outbox.flush();
    expect(sent.map((s) => s.version)).toEqual(['"3"', '"4"']);
  });
  it('stands on the screen at every moment: what waits goes only once the answer is shown', async () => {
    link.state = 'gone';
    await enter('12.4');
    answers = ok;
    let waiting = 0;
    outbox.sent = () => (waiting = outbox.entries.length);
    await outbox.flush();
    outbox.sent = () => undefined;
    expect(waiting).toBe(1);
    expect(outbox.entries).toEqual([]);
  });
  it('of a device that was put out waits until it is let in again', async () => {
    answers = () => ({ status: 401, body: { type: 'urn:pondu:no-key', title: 'No.' } });
    expect((await enter('12.4')).state).toBe('waiting');
    expect(outbox.entries).toHaveLength(1);
  });
});

describe('a job opened without a signal', () => {
  it('is there at once, takes readings, and goes up before them', async () => {
    link.state = 'gone';
    const about = stored().job.complaint;
    const id = await openJob('machine-1', about);
    expect(await jobMade(`/jobs/${id}`)).toMatchObject({ id, machineId: 'machine-1', job: { stage: 'look' } });
    await outbox.enter({ jobId: id, method: 'POST', path: '/snags', body: { id: 's', what: 'Belt' }, version: 1 });
    answers = ok;
    link.state = 'here';
    await outbox.flush();
    expect(sent.map((s) => s.url)).toEqual(['/api/jobs', `/api/jobs/${id}/snags`]);
    expect(sent[0]!.body).toMatchObject({ id, machineId: 'machine-1', complaint: about });
    // The snag keeps its own id, so that ticking it off later finds it.
    expect(sent[1]!.body['id']).toBe('s');
  });
});

describe('a job with what waits', () => {
  const entry = (change: Partial<Entry>): Entry => ({
    id: 'e1',
    seq: 1,
    at: '2026-01-01T11:00:00.000Z',
    jobId: 'job-1',
    method: 'POST',
    path: '/readings',
    body: {},
    version: 3,
    state: 'waiting',
    why: '',
    code: '',
    ...change,
  });
  it('shows it as it will be', () => {
    const value = { kind: 'number', value: 12.4 };
    const job = overlaid(stored([reading('fuse-volts', 12)]), [
      entry({ body: { checkId: 'battery-rest', typed: '12.4', value, confirmed: false } }),
      entry({ id: 'e2', path: '/fixes', body: { what: 'Dried', how: 'cleaned' } }),
      entry({ id: 'e3', path: '/snags', body: { id: 's1', what: 'Belt', weight: 'looks' } }),
      entry({ id: 'e4', path: '/snags', body: { id: 's1', done: true } }),
      entry({ id: 'e5', path: '', method: 'PATCH', body: { complaint: { words: 'Coughs' }, waitsFor: 'part' } }),
    ]);
    expect(job.events.map((e) => entryOf(e).id)).toEqual(['fuse-volts', 'e1', 'e2']);
    expect(job.events[1]).toEqual({
      type: 'reading',
      reading: { id: 'e1', checkId: 'battery-rest', typed: '12.4', value, note: '', at: '2026-01-01T11:00:00.000Z' },
    });
    expect(job.snags).toMatchObject([{ id: 's1', what: 'Belt', weight: 'looks', done: true }]);
    expect(job.job).toMatchObject({
      waitsFor: 'part',
      stage: 'trace',
      complaint: { words: 'Coughs', symptom: 'no-fire' },
    });
    expect(overlaid(stored(), [entry({ path: '/close', body: { because: 'sold' } })]).job).toMatchObject({
      stage: 'closed',
      closedBecause: 'sold',
    });
  });
  it('what was refused, is another job’s, or is written down already changes nothing', () => {
    const there = stored([reading('battery-rest', 12.4, 'e1')]);
    for (const e of [entry({ state: 'refused' }), entry({ jobId: 'other' }), entry({})])
      expect(overlaid(there, [e])).toEqual(there);
  });
});

describe('what was seen', () => {
  it('is there when the workshop cannot be asked; what was never seen is not', async () => {
    answers = () => ({ status: 200, body: { name: 'launch' } });
    expect(await get('/machines/a')).toEqual({ name: 'launch' });
    answers = () => 'no answer';
    expect(await get('/machines/a')).toEqual({ name: 'launch' });
    await expect(get('/machines/b')).rejects.toMatchObject({ unreachable: true });
    // Known to be gone, nobody waits for an answer first.
    link.state = 'gone';
    const before = sent.length;
    expect(await get('/machines/a')).toEqual({ name: 'launch' });
    expect(sent).toHaveLength(before);
  });
  it('a refusal is not hidden behind what was seen', async () => {
    answers = () => ({ status: 404, body: { type: 'urn:pondu:not-found', title: 'Gone.' } });
    await expect(get('/machines/a')).rejects.toMatchObject({ status: 404 });
  });
  it('without a database it is kept as long as the page is open, and apart from what is on screen', async () => {
    const kept = inMemory();
    const value = { rows: [1] };
    await kept.putSeen('/x', value);
    value.rows.push(2);
    expect(await kept.getSeen('/x')).toEqual({ rows: [1] });
    expect(await kept.getSeen('/y')).toBeUndefined();
  });
});

describe('words for what waits', () => {
  const of = (change: Partial<Entry>) => entryWords({ method: 'POST', path: '', body: {}, ...change } as Entry);
  it.each([
    [{ path: '/readings', body: { checkId: 'battery-rest', typed: '12.4' } }, 'Reading, battery-rest: 12.4'],
    [{ path: '/fixes', body: { what: 'Dried' } }, 'Repair: Dried'],
    [{ path: '/causes', body: { found: 'ruled out', cause: 'Age' } }, 'Cause ruled out: Age'],
    [{ path: '/settings', body: { figure: 'points.gapMetres' } }, 'Setting of points.gapMetres'],
    [{ path: '/asides', body: { checkId: 'look-cap', note: '' } }, 'Could not tell: look-cap'],
    [{ path: '/snags', body: { what: 'Belt' } }, 'Snag: Belt'],
    [{ path: '/close', body: {} }, 'Closing of the job'],
    [{ path: '/jobs', body: { complaint: stored().job.complaint } }, 'New job: Cranks, will not fire'],
    [{ method: 'PATCH' as const, body: { waitsFor: '' } }, 'Change of the job: waits for: nothing'],
  ])('%j', (entry, words) => {
    expect(of(entry)).toBe(words);
  });
  it('fields within fields are told as well', () => {
    expect(fieldWords({ complaint: { words: 'Coughs', since: undefined }, stage: 'trace' })).toBe(
      'in the owner’s words: Coughs; stage: trace',
    );
  });
  it('a job that waits is the one that the workshop will make', () => {
    const complaint = stored().job.complaint;
    const made = jobOf({
      id: 'j',
      at: '2026-01-01T00:00:00Z',
      body: { machineId: 'm', complaint },
    } as unknown as Entry);
    expect(made).toMatchObject({ id: 'j', machineId: 'm', version: 1, events: [], job: { complaint, stage: 'look' } });
  });
});
