import { packed, type Ahead, type TraceView } from '@pondu/core';
import { act, cleanup, render, screen } from '@testing-library/react';
import useSWR, { SWRConfig } from 'swr';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { complaint, failing, house, machine, view } from '../__tests__/support.tsx';
import { useAhead } from './useAhead.ts';
import { keys } from './useTracer.ts';

const events = [] as const;
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** Shows what the first screen would: its trace, whoever worked it out. */
function Screen({ stand, named }: { stand: string; named: string }) {
  const input = { machine: { ...machine, plates: { [named]: machine.plates[named]! } }, house, complaint, events };
  useAhead('job-1', stand, input);
  const { data } = useSWR<TraceView>(
    JSON.stringify(keys.trace(input, failing)),
    () => new Promise<TraceView>(() => undefined),
    {
      revalidateIfStale: false,
    },
  );
  return <p>{data ? `first: ${data.ranked[0]!.label}` : 'working'}</p>;
}

const shown = async (stand: string, named: string, answer: Response) => {
  const asked = vi.fn(() => Promise.resolve(answer));
  vi.stubGlobal('fetch', asked);
  await act(async () => {
    render(
      <SWRConfig value={{ provider: () => new Map() }}>
        <Screen stand={stand} named={named} />
      </SWRConfig>,
    );
    await new Promise((r) => setTimeout(r));
  });
  return asked;
};
const trace = view([]);
const ahead = { now: failing, trace, ruler: null, model: {} } as unknown as Ahead;
const sent = (stand: string) => new Response(JSON.stringify({ stand, packed: packed(ahead) }), { status: 200 });

describe('what the workshop worked out ahead', () => {
  it('is shown while the worker is still at it, and asked for once a machine', async () => {
    const asked = await shown('3/1/0', 'a', sent('3/1/0'));
    await vi.waitFor(() => expect(screen.getByText(`first: ${trace.ranked[0]!.label}`)).toBeTruthy());
    expect(asked).toHaveBeenCalledOnce();
    cleanup();
    expect(await shown('3/1/0', 'a', sent('3/1/0'))).not.toHaveBeenCalled();
  });
  it('of another version, or not there yet, it changes nothing', async () => {
    await shown('4/1/0', 'b', sent('3/1/0'));
    expect(screen.getByText('working')).toBeTruthy();
    cleanup();
    await shown('3/1/0', 'c', new Response('{}', { status: 404 }));
    expect(screen.getByText('working')).toBeTruthy();
  });
});
