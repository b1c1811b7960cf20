import { act, cleanup, render, screen } from '@testing-library/react';
import useSWR, { SWRConfig } from 'swr';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { JobRow, Page } from '../api/types.ts';
import { useSync } from './useSync.ts';

/** The line to the workshop, spoken into by the test. */
let line: { onmessage?: (event: { data: string }) => void; close: () => void };
const tell = (change: object) => act(async () => line.onmessage!({ data: JSON.stringify(change) }));
const summary = { type: 'summary', id: 'job-1', summary: { ok: false, message: 'out of reach' } };

let answers: ((page: Page<JobRow>) => void)[];
beforeEach(() => {
  answers = [];
  vi.stubGlobal('EventSource', function () {
    return (line = { close: () => undefined });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function Bays() {
  useSync();
  const { data } = useSWR<Page<JobRow>>('/jobs?limit=30', () => new Promise((done) => answers.push(done)), {
    dedupingInterval: 0,
  });
  return (
    <p>{data ? data.rows.map((r) => `${r.id}: ${r.summary?.ok === false ? r.summary.message : '?'}`) : 'opening'}</p>
  );
}
const rows = (...ids: string[]) => ({ rows: ids.map((id) => ({ id })) }) as unknown as Page<JobRow>;

describe('what the workshop tells while a page is open', () => {
  it('a bay’s summary is put into a list that is there, and not while it is on its way in the list’s place', async () => {
    await act(async () => {
      render(
        <SWRConfig value={{ provider: () => new Map() }}>
          <Bays />
        </SWRConfig>,
      );
    });
    expect(answers).toHaveLength(1);
    // The list has been asked for and is not there yet: what is told now must not be taken for it.
    await tell(summary);
    await act(async () => answers.forEach((answer) => answer(rows('job-1', 'job-2'))));
    await vi.waitFor(() => expect(screen.getByText(/job-1/)).toBeTruthy());
    const asked = answers.length;
    await tell(summary);
    expect(screen.getByText('job-1: out of reachjob-2: ?')).toBeTruthy();
    // A list that is there is not asked for again for one bay.
    expect(answers).toHaveLength(asked);
  });
});
