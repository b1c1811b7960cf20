import { act, renderHook } from '@testing-library/react';
import type { CautionId, JobEvent } from '@pondu/core';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { reading, stored } from '../../__tests__/support.tsx';
import { useCare } from './useCare.ts';

const write = vi.fn((_method: string, _path: string, _body: object) => Promise.resolve(4));
vi.mock('../../api/hooks.ts', () => ({ useJobWrites: () => write }));
const toast = vi.hoisted(() => ({ error: vi.fn() }));
vi.mock('sonner', () => ({ toast }));

const IDS: readonly CautionId[] = ['rotating parts', 'open fuel'];
const understood = (...cautions: CautionId[]): JobEvent => ({
  type: 'care',
  care: { id: 'c1', cautions, about: 'spark-every', at: '2026-01-01T10:00:00Z' },
});
interface Given {
  events: JobEvent[];
  about: string;
}
const at = (events: JobEvent[] = [], about = 'fuel-flow') =>
  renderHook(({ events, about }: Given) => useCare(stored(events), IDS, about), { initialProps: { events, about } });

beforeEach(() => void vi.clearAllMocks());

describe('cautions of a job', () => {
  it('ask the first time, and what was understood is written down with what it was of', () => {
    const { result } = at();
    expect(result.current.fresh).toEqual(IDS);
    act(() => result.current.understand());
    expect(result.current.fresh).toEqual([]);
    expect(write).toHaveBeenCalledExactlyOnceWith('POST', '/cares', { cautions: IDS, about: 'fuel-flow' });
  });
  it('are quiet once they stand in the job, whoever reads it; what is grave asks all the same', () => {
    const { result } = at([understood('rotating parts', 'open fuel')]);
    expect(result.current.fresh).toEqual(['open fuel']);
    act(() => result.current.understand());
    expect(write).toHaveBeenCalledExactlyOnceWith('POST', '/cares', { cautions: ['open fuel'], about: 'fuel-flow' });
  });
  it('that are grave ask anew for another check, for the same one after its reading, and on coming back', () => {
    const known = [understood('rotating parts', 'open fuel')];
    const { result, rerender } = at(known);
    const asks = () => result.current.fresh.includes('open fuel');
    act(() => result.current.understand());
    expect(asks()).toBe(false);
    // A reading of something else, from another hand, takes nothing back.
    rerender({ events: [...known, reading('points-drop', 0.1)], about: 'fuel-flow' });
    expect(asks()).toBe(false);
    rerender({ events: [...known, reading('fuel-flow', 0.1)], about: 'fuel-flow' });
    expect(asks()).toBe(true);
    act(() => result.current.understand());
    rerender({ events: known, about: 'bowl-drain' });
    expect(asks()).toBe(true);
    rerender({ events: known, about: 'fuel-flow' });
    expect(asks()).toBe(true);
  });
  it('let the work go on where they could not be written down, and say so', async () => {
    write.mockRejectedValueOnce(new Error('The file is full.'));
    const { result } = at();
    await act(async () => {
      result.current.understand();
      await Promise.resolve();
    });
    expect(result.current.fresh).toEqual([]);
    expect(toast.error).toHaveBeenCalledWith(expect.stringContaining('Not written down'));
  });
});
