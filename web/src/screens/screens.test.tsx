import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, house, machine, stored } from '../__tests__/support.tsx';
import { BALLAST, fitOutWords } from './machines/fitOutWords.ts';
import { MachineForm } from './machines/MachineForm.tsx';
import { FixForm } from './job/FixForm.tsx';
import { inputOf } from './job/jobInput.ts';
import { useReady } from '../tracer/useTracer.ts';
import { NewJobPage } from './newJob/NewJobPage.tsx';
import { FilesPanel } from './shop/FilesPanel.tsx';
import { HouseForm } from './shop/HouseForm.tsx';
import { pickFrom } from '../__tests__/pickFrom.ts';

// What the worker works out of a machine whose regulator is no longer made.
vi.mock('../tracer/useTracer.ts', async (real) => ({
  ...(await real<object>()),
  useAdvice: () => ({ data: { ways: [{ way: { id: 'three-shunt', label: 'All three phases, shunt unit' } }] } }),
  useReady: vi.fn(),
}));

type Answer = (url: string, init?: RequestInit) => { status: number; body: unknown };
let sent: { url: string; method: string; body: unknown; version: string | undefined }[];

/** A server that answers as it is told, and remembers what it was sent. */
function server(answer: Answer): void {
  sent = [];
  vi.stubGlobal('fetch', (url: string, init?: RequestInit) => {
    const headers = init?.headers as Record<string, string> | undefined;
    sent.push({
      url,
      method: init?.method ?? 'GET',
      body: typeof init?.body === 'string' ? JSON.parse(init.body) : undefined,
      version: headers?.['if-match'],
    });
    const { status, body } = answer(url, init);
    return Promise.resolve(new Response(status === 204 ? null : JSON.stringify(body), { status }));
  });
}
const refusal = (status: number, title: string, fields: { field: string; message: string }[] = []) => ({
  status,
  body: { type: 'urn:pondu:invalid', title, status, fields },
});

beforeAll(() => {
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});
beforeEach(() => localStorage.clear());
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a machine by what one sees', () => {
  const saved = { id: 'm1', version: 1, updatedAt: '', awayAt: null, machine };
  it('is read into a fit-out', async () => {
    server(() => ({ status: 201, body: saved }));
    const onSaved = vi.fn();
    render(<MachineForm draftKey="t" onSaved={onSaved} />);
    await userEvent.type(screen.getByLabelText('Name'), 'Old tractor');
    await userEvent.click(screen.getByRole('radio', { name: /^6 V/ }));
    await userEvent.click(screen.getByRole('radio', { name: /^Positive earth/ }));
    await userEvent.clear(screen.getByLabelText('Compression ratio'));
    await userEvent.type(screen.getByLabelText('Compression ratio'), '6,2');
    await userEvent.click(screen.getByRole('button', { name: 'Save the machine' }));
    await waitFor(() => expect(onSaved).toHaveBeenCalledWith(saved));
    expect(sent[0]).toMatchObject({
      url: '/api/machines',
      method: 'POST',
      body: {
        name: 'Old tractor',
        plates: {},
        fitOut: {
          volts: 6,
          earth: 'positive',
          cylinders: 4,
          compressionRatio: 6.2,
          trails: [{ trail: 'spark', kind: 'battery-points', options: { fused: true } }],
        },
      },
    });
    expect(localStorage.getItem('pondu.draft.t')).toBeNull();
  });
  it('names each field that is wrong, and sends nothing', async () => {
    server(() => ({ status: 201, body: saved }));
    render(<MachineForm draftKey="t" onSaved={vi.fn()} />);
    await userEvent.clear(screen.getByLabelText('Compression ratio'));
    await userEvent.type(screen.getByLabelText('Compression ratio'), 'eight');
    await userEvent.type(screen.getByLabelText('Firing order'), 'one-three');
    await userEvent.click(screen.getByRole('button', { name: 'Save the machine' }));
    await waitFor(() => expect(screen.getAllByRole('alert')).toHaveLength(3));
    const said = screen.getAllByRole('alert').map((a) => a.textContent);
    expect(said).toEqual([
      'Give the machine a name.',
      '“eight”: a number from 3 to 23, such as 8.5.',
      'Write the firing order as numbers, such as 1-3-4-2.',
    ]);
    expect(sent).toEqual([]);
  });
  it('changed, is sent with its version and keeps its plate values', async () => {
    const own = {
      ...machine,
      plates: { 'ballast.ohms': { low: 1.4, high: 1.6, source: 'manual' as const, note: '' } },
    };
    server(() => ({ status: 200, body: saved }));
    render(<MachineForm stored={{ ...saved, version: 5, machine: own }} draftKey="t" onSaved={vi.fn()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Save the machine' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({
      url: '/api/machines/m1',
      method: 'PUT',
      version: '"5"',
      body: { plates: own.plates },
    });
  });
  it('keeps what was typed when the server refuses', async () => {
    server(() => refusal(412, 'Something else changed this machine since you opened this.'));
    render(<MachineForm draftKey="t" onSaved={vi.fn()} />);
    await userEvent.type(screen.getByLabelText('Name'), 'Old tractor');
    await userEvent.click(screen.getByRole('button', { name: 'Save the machine' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch('Something else changed'));
    expect((screen.getByLabelText('Name') as HTMLInputElement).value).toBe('Old tractor');
    expect(localStorage.getItem('pondu.draft.t')).toContain('Old tractor');
  });
  it('is told in one line', () => {
    expect(fitOutWords(machine.fitOut)).toBe(
      '12 V negative earth, 4 cylinders, coil and breaker points, ballast, fused',
    );
    expect(BALLAST.map((b) => b.value)).toEqual(['none', 'external', 'bypassed']);
  });
});

describe('house rules', () => {
  const form = (onSaved = vi.fn()) => render(<HouseForm stored={{ house, version: 2 }} onSaved={onSaved} />);
  it('are read and sent with their version; eyes are always owned', async () => {
    server(() => ({ status: 200, body: { house, version: 3 } }));
    const onSaved = vi.fn();
    form(onSaved);
    await userEvent.clear(screen.getByLabelText('Rate per hour'));
    await userEvent.type(screen.getByLabelText('Rate per hour'), '55,5');
    await userEvent.click(screen.getByLabelText('capacitance meter'));
    await userEvent.click(screen.getByRole('button', { name: 'Save the house rules' }));
    await waitFor(() => expect(onSaved).toHaveBeenCalled());
    expect(sent[0]).toMatchObject({ url: '/api/house', version: '"2"', body: { ratePerHour: 55.5 } });
    expect((sent[0]!.body as { owns: string[] }).owns).toEqual(expect.arrayContaining(['capacitance meter', 'eyes']));
  });
  it('refuse a sureness that is none', async () => {
    server(() => ({ status: 200, body: {} }));
    form();
    await userEvent.clear(screen.getByLabelText('How sure before a repair is called for'));
    await userEvent.type(screen.getByLabelText('How sure before a repair is called for'), '1.5');
    await userEvent.click(screen.getByRole('button', { name: 'Save the house rules' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toBe('“1.5”: a number between 0.8 and 0.999.'));
    expect(sent).toEqual([]);
  });
});

describe('files', () => {
  const read = async (name: string, content: string) => {
    render(<Around>{<FilesPanel />}</Around>);
    await userEvent.upload(
      screen.getByLabelText('File to read'),
      new File([content], name, { type: 'application/json' }),
    );
  };
  it('says what was read and what was left as it is', async () => {
    const copies = { folder: '/shop/backups', failed: null, backups: [] };
    server((path) =>
      path.endsWith('/backups')
        ? { status: 200, body: copies }
        : { status: 201, body: { machines: 1, jobs: 2, skipped: ['Grey saloon'] } },
    );
    await read('shop.pondu.json', '{"format":"pondu"}');
    await waitFor(() => expect(screen.getByRole('status').textContent).toContain('Read 1 machine and 2 jobs.'));
    expect(screen.getByRole('status').textContent).toContain('left as they are: Grey saloon');
  });
  it('says what copies there are, and why the last could not be made', async () => {
    const backup = (day: number, bytes: number) => ({
      name: `pondu-2026-11-${day}.sqlite`,
      bytes,
      at: `2026-11-${day}T08:00:00Z`,
    });
    const made = { folder: '/shop/backups', failed: null, backups: [backup(30, 2 ** 20), backup(29, 2 ** 19)] };
    server(() => ({ status: 200, body: made }));
    const shown = render(<Around>{<FilesPanel />}</Around>);
    await waitFor(() => expect(screen.getByText(/2 are kept \(1\.5 MB\)/)).toBeTruthy());
    expect(screen.queryByRole('alert')).toBeNull();
    shown.unmount();
    server(() => ({ status: 200, body: { ...made, failed: 'the disk is full' } }));
    render(<Around>{<FilesPanel />}</Around>);
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('the disk is full'));
  });
  it('half a file is told as the server told it', async () => {
    server(() => refusal(400, 'No.', [{ field: '', message: 'This is not a whole JSON file.' }]));
    await read('half.pondu.json', '{"format":"po');
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toContain('half.pondu.json: This is not a whole JSON file.'),
    );
  });
  it('of many problems the first are told, and how many there are', async () => {
    const fields = Array.from({ length: 20 }, (_, i) => ({ field: `machines.${i}.id`, message: 'Missing.' }));
    server(() => ({
      status: 422,
      body: { type: 'urn:pondu:invalid', title: 'No.', status: 422, fields, count: 1000 },
    }));
    await read('bad.pondu.json', '{}');
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('And 995 more like these.'));
  });
  it('a refused file is told by its fields', async () => {
    server(() => refusal(422, 'No.', [{ field: 'machines.0.name', message: 'Give the machine a name.' }]));
    await read('bad.pondu.json', '{}');
    await waitFor(() =>
      expect(screen.getByRole('alert').textContent).toContain('machines.0.name: Give the machine a name.'),
    );
    expect(screen.getByRole('alert').textContent).toContain('nothing was changed');
  });
});

describe('a repair', () => {
  const repairs = [
    {
      id: 'points.dress',
      label: 'Clean or replace the points, set the gap',
      part: 'Points',
      station: 'points',
      minutes: 20,
      money: 12,
      goesWith: 'the condenser',
      follows: null,
      cautions: [],
    },
    {
      id: 'coil.replace',
      label: 'Replace the coil',
      part: 'Coil',
      station: 'coil',
      minutes: 20,
      money: 55,
      goesWith: '',
      follows: null,
      cautions: [],
    },
  ];
  const form = (asked?: string) =>
    render(
      <Around>
        {
          <FixForm
            place={{ stored: stored(), machine, house, input: inputOf(stored(), machine, house) }}
            repairs={repairs}
            suspects={[]}
            asked={asked}
          />
        }
      </Around>,
    );
  it('that can hurt says so before its fields, once', async () => {
    localStorage.clear();
    server(() => ({ status: 201, body: stored() }));
    const dangerous = repairs.map((r) => ({ ...r, cautions: ['flywheel puller'] as const }));
    const place = { stored: stored(), machine, house, input: inputOf(stored(), machine, house) };
    render(
      <Around>
        <FixForm place={place} repairs={dangerous} suspects={[]} asked="points.dress" />
      </Around>,
    );
    expect(screen.getByRole('note').textContent).toContain('Draw a flywheel with its own puller');
    await userEvent.click(screen.getByRole('button', { name: 'Understood' }));
    expect(screen.queryByRole('note')).toBeNull();
    expect(screen.getByText('Mind: flywheel puller')).toBeTruthy();
    await waitFor(() =>
      expect(sent.find((s) => s.url.endsWith('/cares'))?.body).toMatchObject({
        cautions: ['flywheel puller'],
        about: 'points.dress',
      }),
    );
  });
  it('that is called for is filled in, with what goes with it', async () => {
    server(() => ({ status: 201, body: stored() }));
    form('points.dress');
    expect((screen.getByLabelText('In words') as HTMLInputElement).value).toBe(
      'Clean or replace the points, set the gap',
    );
    expect(screen.getByText('Renew as a set with the condenser.')).toBeTruthy();
    expect(screen.getByRole('radio', { name: 'Cleaned' }).getAttribute('aria-checked')).toBe('true');
    await userEvent.click(screen.getByRole('button', { name: 'Write down the repair' }));
    await waitFor(() => expect(sent.some((s) => s.method === 'POST')).toBe(true));
    expect(sent.find((s) => s.method === 'POST')).toMatchObject({
      url: '/api/jobs/job-1/fixes',
      version: '"3"',
      body: { repairId: 'points.dress', minutes: 20, money: 12, temporary: false },
    });
  });
  it('that is adapted takes how it is wired now; what was typed does not go with a plain repair', async () => {
    server(() => ({ status: 201, body: stored() }));
    form('points.dress');
    expect(screen.queryByLabelText('How it is wired now')).toBeNull();
    await userEvent.click(screen.getByRole('radio', { name: 'Adapted' }));
    await userEvent.type(screen.getByLabelText('How it is wired now'), 'Module on the wing, green to coil −');
    await pickFrom('Regulator wired', 'three-shunt');
    await userEvent.click(screen.getByRole('button', { name: 'Write down the repair' }));
    await waitFor(() => expect(sent.some((s) => s.method === 'POST')).toBe(true));
    expect(sent.find((s) => s.method === 'POST')!.body).toMatchObject({
      how: 'adapted',
      wiring: 'Module on the wing, green to coil −',
      way: 'three-shunt',
    });
    cleanup();
    server(() => ({ status: 201, body: stored() }));
    form('coil.replace');
    await userEvent.click(screen.getByRole('button', { name: 'Write down the repair' }));
    await waitFor(() => expect(sent.some((s) => s.method === 'POST')).toBe(true));
    expect(sent.find((s) => s.method === 'POST')!.body).not.toHaveProperty('wiring');
    expect(sent.find((s) => s.method === 'POST')!.body).not.toHaveProperty('way');
  });
  it('of another kind is said in words; minutes that are none are refused', async () => {
    server(() => ({ status: 201, body: stored() }));
    form();
    await userEvent.type(screen.getByLabelText('Minutes'), 'ten');
    await userEvent.click(screen.getByRole('button', { name: 'Write down the repair' }));
    await waitFor(() =>
      expect(screen.getAllByRole('alert').map((a) => a.textContent)).toEqual([
        'Say what was done.',
        '“ten”: a number.',
      ]),
    );
    expect(sent).toEqual([]);
  });
  it('picked from the list brings its usual minutes and money', async () => {
    server(() => ({ status: 201, body: stored() }));
    form();
    await pickFrom('Repair', 'coil.replace');
    expect((screen.getByLabelText('Parts, €') as HTMLInputElement).value).toBe('55');
  });
});

describe('a new job', () => {
  it('needs a machine, a symptom and a pattern', async () => {
    const made = stored();
    server((url, init) =>
      init?.method === 'POST'
        ? { status: 201, body: made }
        : {
            status: 200,
            body: url.includes('/machines?')
              ? {
                  rows: [
                    {
                      id: 'machine-1',
                      version: 1,
                      updatedAt: '',
                      awayAt: null,
                      machine,
                      unreadable: null,
                      openJobs: 0,
                    },
                  ],
                  next: null,
                }
              : url.includes('/jobs?')
                ? { rows: [], next: null }
                : url.includes('/house')
                  ? { version: 1, house }
                  : { id: 'machine-1', version: 1, updatedAt: '', awayAt: null, machine },
          },
    );
    render(<Around>{<NewJobPage />}</Around>);
    await userEvent.click(await screen.findByRole('button', { name: 'Open the job' }));
    expect(screen.getAllByRole('alert').map((a) => a.textContent)).toEqual([
      'Choose a machine, or add it.',
      'Choose what it does.',
      'Choose when it does it.',
    ]);
    await userEvent.click(screen.getByRole('radio', { name: /Test car/ }));
    await userEvent.click(screen.getByRole('radio', { name: /Misses/ }));
    await userEvent.click(screen.getByRole('radio', { name: /When wet/ }));
    // What will be traced is simulated while the rest is told.
    const complaint = { symptom: 'misses', pattern: 'damp' };
    await waitFor(() => expect(useReady).toHaveBeenLastCalledWith(machine, house, expect.objectContaining(complaint)));
    await userEvent.click(screen.getByRole('button', { name: 'Open the job' }));
    await waitFor(() => expect(sent.some((s) => s.method === 'POST')).toBe(true));
    expect(sent.find((s) => s.method === 'POST')).toMatchObject({
      url: '/api/jobs',
      body: { machineId: 'machine-1', complaint },
    });
  });
});
