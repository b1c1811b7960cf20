import type { AddressInfo } from 'node:net';
import { createServer, type Server } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { endStreams } from '../src/http/stream.ts';
import { newJob, start, type Started } from './start.ts';

let s: Started;
let server: Server;
let url: string;
beforeAll(async () => {
  s = await start();
  server = createServer(s.app);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((done) => server.close(done));
  await s.stop();
});

/** Reads a stream of events until one suits. */
async function* events(path: string, cancel: AbortSignal): AsyncGenerator<Record<string, unknown>> {
  const response = await fetch(url + path, { signal: cancel });
  let held = '';
  for await (const chunk of response.body!) {
    held += Buffer.from(chunk as Uint8Array).toString();
    const parts = held.split('\n\n');
    held = parts.pop()!;
    for (const part of parts) yield JSON.parse(/data: (.*)/.exec(part)![1]!) as Record<string, unknown>;
  }
}

describe('what changes is told as it changes', () => {
  it('a beat at once and again, then a job that was written to', async () => {
    const id = await newJob(s);
    const cancel = new AbortController();
    const stream = events('/api/changes', cancel.signal);
    for (let i = 0; i < 2; i++) expect((await stream.next()).value).toEqual({ type: 'beat' });
    cancel.abort();

    const second = new AbortController();
    const written = events('/api/changes', second.signal);
    await written.next();
    await s.api.post(`/api/jobs/${id}/snags`).send({ what: 'Belt', weight: 'looks' }).expect(201);
    const told = (await written.next()).value as object;
    expect(told).toEqual({ type: 'job', id, version: 2 });
    second.abort();
  });
  it('a device that is put out hears nothing more, neither what changes nor a meter', async () => {
    const named = { name: 'Tablet', initials: 'JM' };
    const me = await s.api.put('/api/door/me').send(named).expect(200);
    const cookie = String(me.headers['set-cookie']).split(';')[0]!;
    const job = await newJob(s);
    const { machineId } = (await s.api.get(`/api/jobs/${job}`)).body as { machineId: string };
    const streams = await Promise.all(
      ['/api/changes', `/api/machines/${machineId}/meter?check=battery-rest`].map(async (path) =>
        (await fetch(url + path, { headers: { cookie } })).body!.getReader(),
      ),
    );
    const another = (await fetch(`${url}/api/changes`)).body!.getReader();
    for (const reader of [...streams, another]) await reader.read();
    const id = (me.body as { id: string }).id;
    await s.api.delete(`/api/door/devices/${id}`).set('x-pondu', '1').expect(204);
    for (const reader of streams) for (;;) if ((await reader.read()).done) break;
    expect((await another.read()).done).toBe(false);
    await another.cancel();
  });
  it('a server that stops ends its streams', async () => {
    const response = await fetch(`${url}/api/changes`);
    const reader = response.body!.getReader();
    await reader.read();
    endStreams();
    for (;;) if ((await reader.read()).done) break;
  });
});
