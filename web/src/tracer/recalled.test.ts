import { TracerCache } from '@pondu/core';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { complaint, failing, house, machine } from '../__tests__/support.tsx';
import { recalling } from './recalled.ts';

const FILE = 'worker-abc.js';
const workshop = new TracerCache(1);
workshop.for(machine, house).trace(complaint, [], failing);
const text = workshop.simulated(machine, house);
const answering = (answer: () => Promise<Response>) => {
  const asked = vi.fn((_url: string, _how?: RequestInit) => answer());
  vi.stubGlobal('fetch', asked);
  return asked;
};
afterEach(() => void vi.unstubAllGlobals());

describe('what the workshop has simulated', () => {
  it('is asked for once, by a worker that says which it is, and taken over', async () => {
    const asked = answering(() => Promise.resolve(new Response(text)));
    const cache = new TracerCache(1);
    const recalled = recalling(cache, FILE);
    await Promise.all([recalled(machine, house), recalled(machine, house)]);
    await recalled(machine, house);
    expect(asked).toHaveBeenCalledTimes(1);
    expect(asked.mock.calls[0]![0]).toMatch(/^\/api\/simulated\/\w+\?by=worker-abc\.js$/);
    expect(cache.knows(machine, house)).toBe(true);
  });
  it.each([
    ['there is none yet', () => Promise.resolve(new Response(null, { status: 204 }))],
    ['there is no signal', () => Promise.reject(new TypeError('Failed to fetch'))],
    ['what comes cannot be read', () => Promise.resolve(new Response('<html>'))],
    ['it is of another machine', () => Promise.resolve(new Response(text.replace('"of":"', '"of":"x')))],
  ])('where %s, the worker simulates for itself', async (_why, answer) => {
    answering(answer);
    const cache = new TracerCache(1);
    await recalling(cache, FILE)(machine, house);
    expect(cache.knows(machine, house)).toBe(false);
    expect(cache.for(machine, house).trace(complaint, [], failing).ranked.length).toBeGreaterThan(0);
  });
});
