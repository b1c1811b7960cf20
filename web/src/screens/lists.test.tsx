import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, house, machine, stored } from '../__tests__/support.tsx';
import type { JobRow, MachineRow, Page } from '../api/types.ts';
import { LinkBanner } from '../offline/LinkBanner.tsx';
import { link, type LinkState } from '../offline/link.ts';
import { outbox } from '../offline/outbox.ts';
import { BaysPage } from './bays/BaysPage.tsx';
import { JobList } from './bays/JobList.tsx';
import { MachinesPage } from './machines/MachinesPage.tsx';
import { DevicesPanel } from './shop/DevicesPanel.tsx';
import { JournalPanel } from './shop/JournalPanel.tsx';
import { WaitingPage } from './waiting/WaitingPage.tsx';

let asked: string[];
let sent: { method: string; url: string; body: unknown }[];
function server(answers: (url: string, method: string) => unknown): void {
  asked = [];
  sent = [];
  vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
    const method = init?.method ?? 'GET';
    if (method === 'GET') asked.push(url);
    else sent.push({ method, url, body: typeof init?.body === 'string' ? JSON.parse(init.body) : undefined });
    const body = answers(url, method);
    if (body === undefined) return Promise.reject(new TypeError('Failed to fetch'));
    const { status = 200, ...rest } = body as { status?: number };
    return Promise.resolve(new Response(JSON.stringify(Array.isArray(body) ? body : rest), { status }));
  });
}
const page = <Row,>(rows: Row[], next: string | null = null): Page<Row> => ({ rows, next });

const bay = {
  stations: [
    { id: 'battery', label: 'Battery' },
    { id: 'coil', label: 'Coil' },
  ],
  states: [
    { id: 'battery', share: 0.05, state: 'proven' as const },
    { id: 'coil', share: 0.9, state: 'lost here' as const },
  ],
  lost: { part: 'Coil', how: 'burnt out', share: 0.9 },
  next: 'Replace the coil',
};
const row = (change: Partial<JobRow> = {}): JobRow => ({
  id: 'job-1',
  machineId: 'machine-1',
  machineName: 'Grey saloon',
  version: 3,
  updatedAt: '2026-01-01T00:00:00Z',
  awayAt: null,
  job: stored().job,
  unreadable: null,
  summary: { ok: true, bay } as JobRow['summary'],
  ...change,
});
const shown = (element: React.ReactElement) => render(<Around>{element}</Around>);
const waits = (path: string, body: Record<string, unknown>) =>
  outbox.enter({ jobId: 'job-1', method: path ? 'POST' : 'PATCH', path, body, version: 3 });

beforeEach(async () => {
  localStorage.clear();
  link.state = 'here';
  for (const e of outbox.entries) await outbox.drop(e.id);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A list of jobs: those that wait are asked for apart. */
const listed = (url: string, rows: JobRow[], next: string | null = null): Page<JobRow> | undefined => {
  if (!url.startsWith('/api/jobs?')) return undefined;
  const waiting = (r: JobRow) => (r.job?.waitsFor ?? '') !== '';
  if (url.includes('held=yes')) return page(rows.filter(waiting));
  return page(url.includes('held=no') ? rows.filter((r) => !waiting(r)) : rows, next);
};

describe('the bays', () => {
  const bays = (rows: JobRow[], next: string | null = null) =>
    server((url) => {
      const jobs = listed(url, rows, next);
      if (jobs) return jobs;
      return url.startsWith('/api/machines/') ? { id: 'machine-1', version: 1, machine } : { house, version: 1 };
    });

  it('show each open job, where it is lost and what comes next, without computing anything here', async () => {
    bays([row(), row({ id: 'job-2', machineName: 'Launch', summary: null })]);
    shown(<BaysPage />);
    const first = (await screen.findByText('Grey saloon')).closest('li')!;
    expect(first.textContent).toContain('Coil burnt out');
    expect(first.textContent).toContain('Replace the coil');
    expect(within(first).getByRole('img').getAttribute('aria-label')).toBe('1 of 2 stations proven, lost at Coil');
    const second = (await screen.findByText('Launch')).closest('li')!;
    expect(second.textContent).toContain('Working it out…');
  });
  it('one that cannot be read or computed says why, and the others stand', async () => {
    bays([
      row(),
      row({ id: 'b', machineName: 'Barge', job: null, unreadable: 'complaint: required', summary: null }),
      row({ id: 'c', machineName: 'Cutter', summary: { ok: false, message: 'Change the figure.' } }),
    ]);
    shown(<BaysPage />);
    expect((await screen.findByText('Barge')).closest('li')!.textContent).toContain('It is kept, and in every backup');
    expect(screen.getByText('Cutter').closest('li')!.textContent).toContain('Change the figure.');
    expect(screen.getByText('Grey saloon')).toBeTruthy();
  });
  it('the page after this one is fetched when it is asked for', async () => {
    server((url) =>
      url.includes('after=more')
        ? page([row({ id: 'z', machineName: 'Zephyr' })])
        : (listed(url, [row()], 'more') ?? { house, version: 1 }),
    );
    shown(<BaysPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Show more bays' }));
    await screen.findByText('Zephyr');
    expect(screen.queryByRole('button', { name: 'Show more bays' })).toBeNull();
  });
  it('words are looked for once the typing pauses', async () => {
    bays([row()]);
    shown(<BaysPage />);
    await screen.findByText('Grey saloon');
    await userEvent.type(screen.getByRole('searchbox'), 'bilge hose');
    await screen.findByText('Found for “bilge hose”');
    await waitFor(() => expect(asked.some((u) => u.includes('q=bilge%20hose'))).toBe(true));
    expect(asked.filter((u) => u.includes('q=')).length).toBeLessThan(4);
  });
  it('what waits stands apart, with what for and since when; a job that can go on is never among it', async () => {
    const { job } = stored();
    const held = { ...job, waitsFor: 'part' as const, waitsSince: '2026-01-05T09:00:00Z' };
    bays([row({ id: 'w', machineName: 'Tender', job: held }), row()]);
    shown(<BaysPage />);
    const waiting = await screen.findByRole('region', { name: 'Waiting for something' });
    const tender = (await within(waiting).findByText('Tender')).closest('li')!;
    expect(tender.textContent).toContain('Waits for a part since Mon 5 Jan');
    const now = screen.getByRole('list', { name: 'Can go on now' });
    expect(await within(now).findByText('Grey saloon')).toBeTruthy();
    expect(within(now).queryByText('Tender')).toBeNull();
  });
  it('where all of them wait, it says so', async () => {
    bays([row({ job: { ...stored().job, waitsFor: 'owner' } })]);
    shown(<BaysPage />);
    expect(await screen.findByText('Nothing can go on now')).toBeTruthy();
  });
  it('empty, they say what to do', async () => {
    bays([]);
    shown(<BaysPage />);
    expect(await screen.findByText('Every bay is empty')).toBeTruthy();
  });
  it('a job opened without a signal has its bay, and one that waits to go up says so', async () => {
    bays([row()]);
    link.state = 'gone';
    await outbox.enter({
      jobId: 'new',
      method: 'POST',
      path: '/jobs',
      body: { id: 'new', machineId: 'machine-1', complaint: stored().job.complaint },
      version: undefined,
    });
    await waits('/snags', { id: 's', what: 'Belt', weight: 'looks' });
    link.state = 'here';
    shown(<BaysPage />);
    expect(await screen.findByText('Opened here, not in the workshop yet')).toBeTruthy();
    expect((await screen.findByText('Grey saloon')).closest('li')!.textContent).toContain('1 not in the workshop yet');
  });
});

describe('what was put away', () => {
  it('a job is brought back from its list', async () => {
    server((_url, method) => (method === 'POST' ? stored() : page([row({ awayAt: '2026-01-02T00:00:00Z' })])));
    shown(<JobList asked={{ away: true }} none="None." />);
    await userEvent.click(await screen.findByRole('button', { name: 'Bring it back' }));
    await waitFor(() => expect(sent).toEqual([{ method: 'POST', url: '/api/jobs/job-1/restore', body: undefined }]));
  });
  it('a machine stands among those put away', async () => {
    const car = (id: string, name: string): MachineRow => ({
      id,
      version: 1,
      updatedAt: '',
      awayAt: null,
      machine: { ...machine, name },
      unreadable: null,
      openJobs: 2,
    });
    server((url) => page(url.includes('away=true') ? [car('b', 'Old mower')] : [car('a', 'Test car')]));
    shown(<MachinesPage />);
    expect((await screen.findByText('Test car')).closest('li')!.textContent).toContain('2 open jobs');
    expect(screen.queryByText('Old mower')).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Show machines put away' }));
    expect((await screen.findByText('Old mower')).closest('a')!.getAttribute('href')).toBe('/machines/b');
  });
});

describe('the line to the workshop', () => {
  const banner = (state: LinkState) => {
    link.state = state;
    return shown(<LinkBanner />);
  };
  it('says nothing while all is well', async () => {
    banner('here');
    await waitFor(() => expect(screen.getByRole('status').textContent).toBe(''));
  });
  it('gone, it says that work goes on, and how much waits', async () => {
    link.state = 'gone';
    await waits('/snags', { id: 's', what: 'Belt', weight: 'looks' });
    await waits('/cares', { id: 'c', cautions: ['battery'], about: 'battery-rest' });
    banner('gone');
    expect((await screen.findByRole('status')).textContent).toMatch(/No connection.*Tracing goes on.*1 entry waits/);
    expect(screen.getByRole('link', { name: 'Show what waits' })).toBeTruthy();
  });
  it('shut out, it shows the way to the door', async () => {
    banner('not let in');
    expect((await screen.findByRole('link', { name: 'Give the shop key' })).getAttribute('href')).toBe('/enter.html');
  });
});

describe('what waits to go up', () => {
  it('is told in words, with what was refused and what to do about it', async () => {
    link.state = 'gone';
    await waits('/readings', { checkId: 'battery-rest', typed: '126' });
    link.state = 'here';
    server(() => ({ status: 422, type: 'urn:pondu:absurd', title: 'Range?', fields: [] }));
    await outbox.flush();
    shown(<WaitingPage />);
    expect((await screen.findByRole('listitem')).textContent).toContain('Reading, battery-rest: 126');
    expect(screen.getByText('Range?')).toBeTruthy();
    server(() => ({ status: 201, ...stored() }));
    await userEvent.click(screen.getByRole('button', { name: 'Yes, let it stand' }));
    await screen.findByText(/Nothing waits/);
    expect(sent[0]!.body).toMatchObject({ typed: '126', confirmed: true });
  });
  it('a conflict shows both, and keeps the one that is chosen', async () => {
    link.state = 'gone';
    await waits('', { waitsFor: 'part' });
    link.state = 'here';
    server((_url, method) =>
      method === 'PATCH'
        ? { status: 412, type: 'urn:pondu:stale', title: 'Changed.' }
        : { ...stored(), job: { ...stored().job, waitsFor: 'helper' } },
    );
    await outbox.flush();
    shown(<WaitingPage />);
    expect(await screen.findByText('waits for: part')).toBeTruthy();
    expect(await screen.findByText('waits for: helper')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Keep the workshop’s' }));
    await screen.findByText(/Nothing waits/);
    expect(sent.filter((s) => s.method === 'PATCH')).toHaveLength(1);
  });
});

describe('a conflict with what another device wrote', () => {
  it('is shown as the workshop has it now, whatever this device had last seen', async () => {
    link.state = 'gone';
    await waits('', { waitsFor: 'part' });
    link.state = 'here';
    let asked = 0;
    server((_url, method) => {
      if (method === 'PATCH') return { status: 412, type: 'urn:pondu:stale', title: 'Changed.' };
      // Answered first from before the other device wrote.
      const waitsFor = ++asked === 1 ? 'call' : 'helper';
      return { ...stored(), job: { ...stored().job, waitsFor } };
    });
    await outbox.flush();
    shown(<WaitingPage />);
    expect(await screen.findByText('waits for: helper')).toBeTruthy();
  });
});

describe('the door', () => {
  const me = { id: 'd1', name: 'Bench', initials: 'JM', createdAt: '2026-01-01T00:00:00Z', seenAt: '' };
  const door = {
    me,
    locked: true,
    secure: true,
    key: 'AAAA-BBBB-CCCC-DDDD',
    addresses: ['https://10.0.0.2:4780'],
    devices: [me, { ...me, id: 'd2', name: 'Phone' }],
  };
  it('shows the key with where to type it, who is in, and puts one out', async () => {
    server((_url, method) => (method === 'DELETE' ? { status: 200 } : door));
    shown(<DevicesPanel />);
    expect((await screen.findByText('AAAA-BBBB-CCCC-DDDD')).parentElement!.textContent).toContain('Shop key');
    expect(screen.getByText('https://10.0.0.2:4780')).toBeTruthy();
    const list = screen.getByRole('list', { name: 'Devices that are in' });
    expect(within(list).getAllByRole('listitem')).toHaveLength(2);
    await userEvent.click(screen.getByRole('button', { name: 'Put out Phone' }));
    await waitFor(() => expect(sent[0]).toMatchObject({ method: 'DELETE', url: '/api/door/devices/d2' }));
  });
  it('a device is named; what is missing is told by its box', async () => {
    const fields = [{ field: 'initials', message: 'Give the initials.' }];
    server((_url, method) =>
      method === 'PUT'
        ? { status: 422, type: 'urn:pondu:invalid', title: 'No.', fields }
        : { ...door, me: null, locked: false, key: null, devices: [] },
    );
    shown(<DevicesPanel />);
    await userEvent.type(await screen.findByLabelText('This device'), 'Tablet');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Give the initials.');
    expect(sent[0]!.body).toEqual({ name: 'Tablet', initials: '' });
    expect(screen.getByText(/Only this computer is answered/)).toBeTruthy();
  });
});

describe('the journal', () => {
  const entry = {
    seq: 4,
    at: '2026-01-01T10:00:00Z',
    what: 'machine' as const,
    ref: 'm',
    name: 'Launch',
    fields: ['plates', 'notes'],
    device: 'Bench',
    initials: 'JM',
    canPutBack: true,
  };
  it('says what changed, by whom, and puts it back', async () => {
    server((_url, method) => (method === 'POST' ? [] : [entry, { ...entry, seq: 3, canPutBack: false }]));
    shown(<JournalPanel />);
    const [first, second] = await screen.findAllByRole('listitem');
    expect(first!.textContent).toContain('Launch: plate values, notes');
    expect(first!.textContent).toContain('JM, Bench');
    expect(within(second!).queryByRole('button')).toBeNull();
    await userEvent.click(within(first!).getByRole('button'));
    await waitFor(() => expect(sent[0]).toMatchObject({ url: '/api/journal/4/put-back' }));
    await screen.findByText(/Nothing yet/);
  });
});
