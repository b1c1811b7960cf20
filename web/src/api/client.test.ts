import { afterEach, describe, expect, it, vi } from 'vitest';
import { call } from './client.ts';
import type { ApiProblem } from './problem.ts';
import { problemOf } from './problem.ts';

const answers = (response: Response | Error) => {
  const fetch = vi.fn((_url: string, _init: RequestInit) =>
    response instanceof Error ? Promise.reject(response) : Promise.resolve(response),
  );
  vi.stubGlobal('fetch', fetch);
  return fetch;
};
const refused = async (): Promise<ApiProblem> => {
  try {
    await call('POST', '/x', {});
  } catch (error) {
    return problemOf(error);
  }
  throw new Error('Nothing was refused');
};
afterEach(() => vi.unstubAllGlobals());

describe('a call', () => {
  it('sends JSON and the version that it is based on', async () => {
    const fetch = answers(new Response('{"a":1}', { status: 200 }));
    expect(await call('PUT', '/x', { b: 2 }, 7)).toEqual({ a: 1 });
    expect(fetch.mock.calls[0]).toEqual([
      '/api/x',
      {
        method: 'PUT',
        headers: {
          accept: 'application/json',
          'x-pondu': '1',
          'content-type': 'application/json',
          'if-match': '"7"',
        },
        signal: expect.any(AbortSignal),
        body: '{"b":2}',
      },
    ]);
  });
  it('takes "no content" for nothing', async () => {
    answers(new Response(null, { status: 204 }));
    expect(await call('DELETE', '/x')).toBeUndefined();
  });
  it('tells a refusal by its code, title and fields', async () => {
    answers(
      new Response(
        '{"type":"urn:pondu:invalid","title":"No.","status":422,"fields":[{"field":"a","message":"Bad."}]}',
        { status: 422 },
      ),
    );
    expect(await refused()).toMatchObject({
      status: 422,
      code: 'invalid',
      message: 'No.',
      fields: [{ field: 'a', message: 'Bad.' }],
      stale: false,
    });
  });
  it('knows a stale write', async () => {
    answers(new Response('{"type":"urn:pondu:stale","title":"Older.","status":412}', { status: 412 }));
    expect((await refused()).stale).toBe(true);
  });
  it('says so when the server is not there, or answers what is not JSON', async () => {
    answers(new TypeError('Failed to fetch'));
    expect(await refused()).toMatchObject({ unreachable: true, message: expect.stringContaining('kept here') });
    answers(new Response('<html>', { status: 502 }));
    expect(await refused()).toMatchObject({ status: 502, message: 'The server answered 502.' });
  });
});
