import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { checkView } from '@pondu/core';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, failing, house, machine, reading, stored, tracer } from '../../__tests__/support.tsx';
import { inputOf } from './jobInput.ts';
import { useReadingEntry } from './useReadingEntry.ts';

// The worker does not run here; the real core answers in its place.
vi.mock('../../tracer/useTracer.ts', () => ({
  useModel: () => ({ data: { checks: tracer.model.checks.map((c) => ({ check: checkView(c) })) } }),
}));

let answer: () => { status: number; body: unknown };
let posts: { body: Record<string, unknown>; version: string | undefined }[];
beforeEach(() => {
  localStorage.clear();
  posts = [];
  vi.stubGlobal('fetch', (_url: string, init?: RequestInit) => {
    if (init?.method === 'POST')
      posts.push({
        body: JSON.parse(String(init.body)) as Record<string, unknown>,
        version: (init.headers as Record<string, string>)['if-match'],
      });
    const { status, body } = init?.method === 'POST' ? answer() : { status: 200, body: stored() };
    return Promise.resolve(new Response(JSON.stringify(body), { status }));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const place = { stored: stored(), machine, house, input: inputOf(stored(), machine, house) };
function entry(checkId = 'battery-rest', correcting?: string, job = stored()) {
  const saved = vi.fn();
  const place = { stored: job, machine, house, input: inputOf(job, machine, house) };
  const wrapper = ({ children }: { children: ReactNode }) => <Around>{<>{children}</>}</Around>;
  const hook = renderHook(() => useReadingEntry({ place, now: failing, checkId, correcting, saved }), { wrapper });
  return { hook, saved };
}
const typed = (hook: ReturnType<typeof entry>['hook'], text: string) => act(() => hook.result.current.setTyped(text));

describe('a reading on its way in', () => {
  it('says once that it has begun, so that no other check takes its place', async () => {
    const begun = vi.fn();
    const wrapper = ({ children }: { children: ReactNode }) => <Around>{<>{children}</>}</Around>;
    const options = { place, now: failing, checkId: 'battery-rest', correcting: undefined, begun, saved: vi.fn() };
    const hook = renderHook(() => useReadingEntry(options), { wrapper });
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    expect(begun).not.toHaveBeenCalled();
    for (const text of ['1', '12', '12.4']) typed(hook, text);
    expect(begun).toHaveBeenCalledOnce();
    expect(hook.result.current.typed).toBe('12.4');
  });
  it('is read as it is typed, and shows what it would change', async () => {
    const { hook } = entry();
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    typed(hook, '12,4');
    expect(hook.result.current.value).toEqual({ kind: 'number', value: 12.4 });
    expect(hook.result.current.previewInput!.events.at(-1)).toMatchObject({
      reading: { checkId: 'battery-rest', value: { value: 12.4 } },
    });
    typed(hook, '12 ohm');
    expect(hook.result.current.value).toBeUndefined();
    expect(hook.result.current.previewInput).toBeUndefined();
    expect(hook.result.current.error).toMatch('read in volts');
  });
  it('is saved with its conditions, its words and the job’s version; then the box is empty', async () => {
    answer = () => ({ status: 201, body: stored() });
    const { hook, saved } = entry('battery-rest', 'old-reading');
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    typed(hook, '12.4');
    act(() => hook.result.current.setConditions({ warmth: 'hot', faultPresent: 'no' }));
    act(() => hook.result.current.save());
    await waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(posts[0]).toMatchObject({
      version: '"3"',
      body: {
        checkId: 'battery-rest',
        typed: '12.4',
        warmth: 'hot',
        faultPresent: 'no',
        supersedes: 'old-reading',
        confirmed: false,
      },
    });
    await waitFor(() => expect(hook.result.current.typed).toBe(''));
  });
  it('left as it is sent, is one reading however often it is sent, and its box is empty once the job has it', async () => {
    answer = () => ({ status: 500, body: { type: 'urn:pondu:unexpected', title: 'Cut off.' } });
    const left = entry();
    await waitFor(() => expect(left.hook.result.current).not.toBeNull());
    typed(left.hook, '12.4');
    act(() => left.hook.result.current.save());
    await waitFor(() => expect(posts).toHaveLength(1));
    left.hook.unmount();
    const back = entry();
    await waitFor(() => expect(back.hook.result.current.typed).toBe('12.4'));
    act(() => back.hook.result.current.save());
    await waitFor(() => expect(posts).toHaveLength(2));
    expect(posts[1]!.body['id']).toBe(posts[0]!.body['id']);
    // Another figure is another reading.
    await waitFor(() => expect(back.hook.result.current.saving).toBe(false));
    typed(back.hook, '12.5');
    act(() => back.hook.result.current.save());
    await waitFor(() => expect(posts).toHaveLength(3));
    expect(posts[2]!.body['id']).not.toBe(posts[0]!.body['id']);
    back.hook.unmount();

    const id = String(posts[2]!.body['id']);
    const job = stored([reading('battery-rest', 12.5, id)]);
    const again = entry('battery-rest', undefined, job);
    await waitFor(() => expect(again.hook.result.current.typed).toBe(''));
  });
  it('that told nothing is set aside: the check, what was noted, and nothing that was typed', async () => {
    answer = () => ({ status: 201, body: stored() });
    const { hook, saved } = entry();
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    typed(hook, '12');
    act(() => hook.result.current.setNote('behind the dash'));
    act(() => hook.result.current.setAside());
    await waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(posts).toHaveLength(1);
    expect(posts[0]!.body).toEqual({ id: expect.any(String), checkId: 'battery-rest', note: 'behind the dash' });
    expect(hook.result.current.typed).toBe('');
  });
  it('nothing typed is asked for, not sent', async () => {
    const { hook } = entry();
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    act(() => hook.result.current.save());
    await waitFor(() => expect(hook.result.current.error).toBe('Type the reading.'));
    expect(posts).toEqual([]);
  });
  it('far off, it is asked about once, and goes in when it may stand', async () => {
    answer = () => ({
      status: 422,
      body: { type: 'urn:pondu:absurd', title: 'Range?', fields: [{ field: 'typed', message: 'Far outside.' }] },
    });
    const { hook, saved } = entry();
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    typed(hook, '126');
    act(() => hook.result.current.save());
    await waitFor(() => expect(hook.result.current.absurd).toBe(true));
    expect(hook.result.current.typed).toBe('126');
    answer = () => ({ status: 201, body: stored() });
    act(() => hook.result.current.save(true));
    await waitFor(() => expect(saved).toHaveBeenCalledOnce());
    expect(posts[1]!.body['confirmed']).toBe(true);
  });
  it.each([
    [
      'changed in another window',
      { status: 412, body: { type: 'urn:pondu:stale', title: 'Something else changed this job.' } },
    ],
    [
      'refused for another reason',
      { status: 500, body: { type: 'urn:pondu:unexpected', title: 'Something went wrong here.' } },
    ],
  ])('%s: the text stays, and why is said', async (_name, refusal) => {
    answer = () => refusal;
    const { hook, saved } = entry();
    await waitFor(() => expect(hook.result.current).not.toBeNull());
    typed(hook, '12.4');
    act(() => hook.result.current.save());
    await waitFor(() => expect(hook.result.current.error).toBe(refusal.body.title));
    expect(hook.result.current.typed).toBe('12.4');
    expect(localStorage.getItem('pondu.draft.job-1.battery-rest..typed')).toBe('"12.4"');
    expect(saved).not.toHaveBeenCalled();
  });
});
