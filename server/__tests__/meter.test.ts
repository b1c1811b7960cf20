import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { machineBody, start, type Started } from './start.ts';

let server: Started;
let listening: Server;
let base: string;
let id: string;
beforeAll(async () => {
  server = await start();
  id = ((await server.api.post('/api/machines').send(machineBody)).body as { id: string }).id;
  listening = server.app.listen(0);
  base = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;
});
afterAll(async () => {
  listening.closeAllConnections();
  listening.close();
  await server.stop();
});

interface Shown {
  text: string;
  steady: boolean;
  value: { kind: string; value?: number };
}
/** Listens until the display stands still, then hangs up. */
async function listen(query: string): Promise<Shown> {
  const hangUp = new AbortController();
  const answer = await fetch(`${base}/api/machines/${id}/meter?${query}`, { signal: hangUp.signal });
  expect(answer.headers.get('content-type')).toContain('text/event-stream');
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  let text = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) throw new Error('The stream ended before the display stood still');
    text += value;
    const shown = text
      .split('\n')
      .filter((line) => line.startsWith('data: ') && line.endsWith('}'))
      .map((line) => JSON.parse(line.slice(6)) as Shown)
      .find((s) => s.steady);
    if (!shown) continue;
    await reader.cancel();
    hangUp.abort();
    return shown;
  }
}

describe('the simulated meter', () => {
  it('streams what a meter would show on a sound machine, and on one with a fault', async () => {
    const [sound, burnt] = await Promise.all([
      listen('check=points-drop&fault=none&seed=5'),
      listen('check=points-drop&fault=points.burnt&seed=5'),
    ]);
    expect(sound.value.value!).toBeLessThan(0.3);
    expect(burnt.value.value!).toBeGreaterThan(1);
    expect(burnt.text).toMatch(/V$/);
  });
  it('is the same machine for the same seed, whatever is measured', async () => {
    const [one, again] = await Promise.all([listen('check=battery-rest&seed=8'), listen('check=battery-rest&seed=8')]);
    expect(one.value.value! / again.value.value!).toBeCloseTo(1, 1.5);
  });
  it.each([
    ['a check that is not there', 'check=gearbox-oil', 404],
    ['a fault that is not there', 'check=battery-rest&fault=gearbox.tired', 404],
    ['no check', '', 422],
    ['a seed that is no number', 'check=battery-rest&seed=two', 422],
  ])('refuses %s as a problem', async (_name, query, status) => {
    const answer = await server.api.get(`/api/machines/${id}/meter?${query}`);
    expect(answer.status).toBe(status);
    expect(answer.headers['content-type']).toContain('application/problem+json');
  });
});
