import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { checkView, modelView, ruler, TracerCache, type RankedView } from '@pondu/core';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, house, machine, reading, stored, tracer, view } from '../../__tests__/support.tsx';
import { CheckCard } from './CheckCard.tsx';
import { inputOf, nowOf } from './jobInput.ts';
import { Log } from './Log.tsx';
import { bySeverity, SnagPanel } from './SnagPanel.tsx';
import { Suspects } from './Suspects.tsx';
import type { ReadingEntry } from './useReadingEntry.ts';
import { VerdictBanner } from './VerdictBanner.tsx';

const events = [reading('ballast-volts', 12.4), reading('coil-feed-closed', 0.01), reading('ballast-ohms', 'OL')];
const checks = tracer.model.checks.map((c) => ({ check: checkView(c) }));
const place = (e = events) => ({ stored: stored(e), machine, house, input: inputOf(stored(e), machine, house) });

beforeAll(() => {
  globalThis.ResizeObserver = class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});
/** The workshop, where nothing else is asked of it. */
const taking = () =>
  vi.fn((_url: string, _init: RequestInit) => Promise.resolve(new Response(JSON.stringify(stored()), { status: 201 })));
beforeEach(() => {
  localStorage.clear();
  vi.stubGlobal('fetch', taking());
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('suspects', () => {
  it('show share, words, what it costs, and the evidence for the first', () => {
    render(
      <Suspects jobId="j" trace={view(events)} before={undefined} house={house} events={events} checks={checks} />,
    );
    const first = screen.getAllByRole('listitem')[0]!;
    expect(first.textContent).toContain('Ballast resistor burnt out');
    expect(first.textContent).toMatch(/almost certain|very likely/);
    expect(first.textContent).toContain('replace the ballast resistor, 15 min');
    expect(first.textContent).toMatch(/for.*Ballast resistance/);
  });
  it('say that they show what is being typed', () => {
    render(
      <Suspects
        jobId="j"
        trace={view(events)}
        before={view(events.slice(0, 1))}
        house={house}
        events={events}
        checks={checks}
      />,
    );
    expect(screen.getByText('with what you are typing')).toBeTruthy();
  });
});

describe('what would change my mind', () => {
  it('names the reading, and what the leader would fall to', () => {
    const trace = view(events.slice(0, 2));
    render(<Suspects jobId="j" trace={trace} before={undefined} house={house} events={events} checks={checks} />);
    expect(trace.mindChangers.length).toBeGreaterThan(0);
    const heading = screen.getByRole('heading', { name: 'What would change my mind' });
    const list = within(heading.parentElement!).getAllByRole('listitem');
    expect(list).toHaveLength(trace.mindChangers.length);
    expect(list[0]!.textContent).toContain(trace.mindChangers[0]!.check.label);
    expect(list[0]!.textContent).toMatch(/would fall to (<|\d)/);
  });
  it('is not said while nobody leads', () => {
    render(<Suspects jobId="j" trace={view([])} before={undefined} house={house} events={[]} checks={checks} />);
    expect(screen.queryByText('What would change my mind')).toBeNull();
  });
  it('says of any suspect why it rose and fell', async () => {
    render(
      <Suspects
        jobId="j"
        trace={view(events.slice(0, 2))}
        before={undefined}
        house={house}
        events={events}
        checks={checks}
      />,
    );
    const whys = screen.getAllByText('why');
    expect(whys.length).toBeGreaterThan(1);
    await userEvent.click(whys[0]!);
    expect(within(whys[0]!.closest('li')!).getAllByRole('listitem')[0]!.textContent).toMatch(/for|against/);
  });
});

describe('the verdict', () => {
  const banner = (trace: ReturnType<typeof view>, e = events) =>
    render(<Around>{<VerdictBanner trace={trace} place={place(e)} />}</Around>);
  it('calls for the repair and links to it', () => {
    banner(view(events));
    expect(screen.getByRole('heading').textContent).toBe('Enough: replace the ballast resistor');
    expect(screen.getByRole('link', { name: 'Repair it' }).getAttribute('href')).toBe(
      '/jobs/job-1/repair?repair=ballast.replace',
    );
  });
  it('names what is put right after it, why, and links to that', () => {
    const repair = modelView(new TracerCache(1), machine, house).repairs.find((r) => r.id === 'points.dress')!;
    const afterwards = [{ part: 'Points', repair, share: 0.96, why: 'there too' } as const];
    banner({ ...view(events), afterwards });
    const then = within(screen.getByRole('list', { name: 'Then, in this order' })).getByRole('listitem');
    expect(then.textContent).toMatch(
      /^Then Points: clean .*, 96 % sure; it hardly causes the complaint, but is wrong too\.$/,
    );
    expect(within(then).getByRole('link').getAttribute('href')).toBe('/jobs/job-1/repair?repair=points.dress');
  });
  it('asks for a second witness before a dear part, and says what would be lost', () => {
    const check = checks.find((c) => c.check.id === 'ballast-ohms')!.check;
    const repair = view(events).suspects[0]!.repair;
    banner({ ...view([]), verdict: { kind: 'second check', repair, share: 0.985, check, loss: 210 } });
    expect(screen.getByRole('heading').textContent).toBe(
      '99 % for: replace the ballast resistor. One more check first',
    );
    expect(screen.getByRole('status').textContent).toContain('€210 of work and parts are lost if it is not that');
    expect(screen.getByRole('link', { name: 'Show it' }).getAttribute('href')).toBe(
      '/jobs/job-1/trace?check=ballast-ohms',
    );
    expect(screen.getByRole('link', { name: 'Repair it all the same' })).toBeTruthy();
  });
  it('offers what would settle a contradiction', () => {
    const settles = checks.find((c) => c.check.id === 'switch-volts')!.check;
    banner({ ...view([]), settles, verdict: { kind: 'outside', share: 0.7 } });
    expect(screen.getByRole('link', { name: settles.label }).getAttribute('href')).toContain('check=switch-volts');
  });
  it('keeps quiet while there is something worth asking', () => {
    const { container } = banner(view([]));
    expect(container.textContent).toBe('');
  });
  it('says of what is tried on the chance that no check tells more', () => {
    const repair = modelView(new TracerCache(1), machine, house).repairs.find((r) => r.id === 'condenser.replace')!;
    const verdict = { kind: 'fix', repair, share: 0.31, why: 'likeliest left' } as const;
    banner({ ...view([]), verdict });
    expect(screen.getByRole('heading').textContent).toMatch(/^Nothing left to ask: /);
    expect(screen.getByText(/31 %.*for its cost it is the likeliest/)).toBeDefined();
  });
  it.each([
    [
      'sound',
      { kind: 'sound', share: 0.99, unshown: 0.1, elsewhere: [{ trail: 'fuel', share: 0.8 }] },
      'What is told of this machine is sound: look elsewhere, fuel first',
    ],
    ['unshown', { kind: 'sound', share: 0.92, unshown: 0.9, elsewhere: [] }, 'The complaint does not show'],
    ['wait', { kind: 'wait' }, 'Wait until it fails again'],
    ['outside', { kind: 'outside', share: 0.7 }, 'The readings contradict each other'],
    ['nothing', { kind: 'nothing left to check' }, 'No check left tells anything'],
  ] as const)('%s', (_name, verdict, title) => {
    banner({ ...view([]), verdict });
    expect(screen.getByRole('heading').textContent).toBe(title);
  });
});

describe('the check', () => {
  const entry = (change: Partial<ReadingEntry> = {}): ReadingEntry => ({
    typed: '',
    setTyped: vi.fn(),
    conditions: { warmth: 'unknown', faultPresent: 'yes' },
    setConditions: vi.fn(),
    note: '',
    setNote: vi.fn(),
    value: undefined,
    error: undefined,
    absurd: false,
    saving: false,
    correcting: undefined,
    save: vi.fn(),
    setAside: vi.fn(),
    gaugeUnit: 'kPa',
    setGaugeUnit: vi.fn(),
    previewInput: undefined,
    ...change,
  });
  const card = (checkId: string, e: ReadingEntry, opened: string[] = [], rank?: RankedView, job = stored()) => {
    const check = tracer.weigher.check(checkId)!;
    return render(
      <CheckCard
        stored={job}
        check={checkView(check)}
        ruler={ruler(tracer.weigher, check, [])}
        rank={rank}
        isNext
        entry={e}
        opened={opened}
        alternatives={view([]).ranked.slice(1, 3)}
        onChoose={vi.fn()}
      />,
    );
  };
  it('says what to set, where to touch, what to watch, and what must be opened first', () => {
    card('points-drop', entry());
    expect(screen.getByText(/Touch red to the terminal at the points/)).toBeTruthy();
    expect(screen.getByText('first: cap off')).toBeTruthy();
    cleanup();
    card('points-drop', entry(), ['cap off']);
    expect(screen.queryByText('first: cap off')).toBeNull();
  });
  it('takes a reading with Enter', async () => {
    const e = entry({ typed: '0.1' });
    card('points-drop', e);
    await userEvent.type(screen.getByLabelText('Reading'), '{Enter}');
    expect(e.save).toHaveBeenCalledOnce();
  });
  it('says why it asks for the same reading once more, and for the engine after a repair', () => {
    const first = view([]).ranked[0]!;
    const shown = (rank: Partial<typeof first>) => {
      card('points-drop', entry(), [], { ...first, ...rank });
      const text = document.body.textContent!;
      cleanup();
      return text;
    };
    expect(shown({ again: true })).toContain('Once more: leads that slip off look just like this.');
    expect(shown({ again: true, passing: true })).toContain('it comes and goes, and may have been away');
    expect(shown({ id: 'try-it' })).toContain('before measuring on, ask the engine');
    expect(shown({})).toContain('Tells most for its minutes');
  });
  it('may be set aside where nobody can tell, but not in a correction', async () => {
    const e = entry();
    const proposed = view([]).ranked[0]!;
    card('points-drop', e, [], proposed);
    await userEvent.click(screen.getByRole('button', { name: 'Cannot tell' }));
    expect(e.setAside).toHaveBeenCalledOnce();
    cleanup();
    card('points-drop', entry({ correcting: 'r1' }), [], proposed);
    expect(screen.queryByRole('button', { name: 'Cannot tell' })).toBeNull();
    cleanup();
    // What nobody proposed need not be set aside.
    card('points-drop', entry());
    expect(screen.queryByRole('button', { name: 'Cannot tell' })).toBeNull();
  });
  it('has a button for OL on ohms alone', async () => {
    const e = entry();
    card('coil-primary', e);
    await userEvent.click(screen.getByRole('button', { name: 'Understood' }));
    await userEvent.click(screen.getByRole('button', { name: 'OL' }));
    expect(e.setTyped).toHaveBeenCalledWith('OL');
    cleanup();
    card('points-drop', entry());
    expect(screen.queryByRole('button', { name: 'OL' })).toBeNull();
  });
  it('asks a phone for number keys, and for letters once a unit is to be typed', async () => {
    card('points-drop', entry());
    const keys = () => (screen.getByLabelText('Reading') as HTMLInputElement).inputMode;
    expect(keys()).toBe('decimal');
    await userEvent.click(screen.getByRole('button', { name: 'Letter keys' }));
    expect(keys()).toBe('text');
    expect(document.activeElement).toBe(screen.getByLabelText('Reading'));
    await userEvent.click(screen.getByRole('button', { name: 'Number keys' }));
    expect(keys()).toBe('decimal');
  });
  it('does not take a spark before its cautions are understood; once is enough', async () => {
    const e = entry({ typed: 'good' });
    card('spark-coil-lead', e);
    const save = () => screen.getByRole('button', { name: 'Save reading' }) as HTMLButtonElement;
    expect(save().disabled).toBe(true);
    await userEvent.click(screen.getByRole('button', { name: 'Understood' }));
    expect(save().disabled).toBe(false);
    cleanup();
    const { cautions } = tracer.weigher.check('spark-coil-lead')!;
    const care = { id: 'c', cautions: [...cautions], about: 'spark-every', at: '2026-01-01T10:00:00Z' };
    card('spark-coil-lead', e, [], undefined, stored([{ type: 'care', care }]));
    expect(save().disabled).toBe(false);
  });
  it('asks about the range and lets an absurd reading stand', async () => {
    const e = entry({ typed: '126', absurd: true, error: 'Far outside' });
    card('points-drop', e);
    expect(screen.getByRole('alert').textContent).toBe('Far outside');
    await userEvent.click(screen.getByRole('button', { name: 'Yes, let it stand' }));
    expect(e.save).toHaveBeenCalledWith(true);
  });
  it('records whether it is failing now, and how warm the part is', async () => {
    const e = entry();
    card('points-drop', e);
    await userEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Is it failing now?' })).getByRole('radio', { name: 'no' }),
    );
    expect(e.setConditions).toHaveBeenCalledWith({ warmth: 'unknown', faultPresent: 'no' });
    await userEvent.click(screen.getByRole('radio', { name: 'hot' }));
    expect(e.setConditions).toHaveBeenCalledWith({ warmth: 'hot', faultPresent: 'yes' });
  });
});

describe('the log', () => {
  it('shows readings with how they were judged, and offers to correct them', async () => {
    const onCorrect = vi.fn();
    render(
      <Log place={place()} checks={checks} trace={view(events)} open onOpenChange={vi.fn()} onCorrect={onCorrect} />,
    );
    const rows = screen.getAllByRole('listitem');
    expect(rows[0]!.textContent).toContain('12.4 V');
    expect(rows[0]!.textContent).toContain('above the band');
    expect(rows[1]!.textContent).toContain('10 mV');
    expect(rows[1]!.textContent).toContain('below the band');
    expect(rows[2]!.textContent).toContain('off');
    await userEvent.click(screen.getByRole('button', { name: 'Correct Ballast resistance' }));
    expect(onCorrect).toHaveBeenCalledWith('ballast-ohms', 'ballast-ohms');
  });
});

describe('snags', () => {
  it('come by danger, then reliability, then looks; done ones last', () => {
    const snag = (what: string, weight: 'danger' | 'reliability' | 'looks', done = false) => ({
      id: what,
      what,
      weight,
      done,
      at: '2026-01-01T00:00:00Z',
    });
    const list = bySeverity([
      snag('paint', 'looks'),
      snag('hose', 'danger', true),
      snag('belt', 'reliability'),
      snag('brake', 'danger'),
    ]);
    expect(list.map((s) => s.what)).toEqual(['brake', 'belt', 'paint', 'hose']);
  });
  it('an empty one is refused by its field; a good one is sent with the job’s version', async () => {
    const fetch = taking();
    vi.stubGlobal('fetch', fetch);
    render(<Around>{<SnagPanel stored={stored()} />}</Around>);
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect(screen.getByRole('alert').textContent).toBe('Say what was noticed.');
    await userEvent.type(screen.getByLabelText('Add a snag'), 'belt frayed');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(fetch).toHaveBeenCalled());
    const [url, init] = fetch.mock.calls[0]!;
    expect(url).toBe('/api/jobs/job-1/snags');
    expect(init.headers).toMatchObject({ 'if-match': '"3"' });
    expect(JSON.parse(String(init.body))).toMatchObject({ what: 'belt frayed', weight: 'reliability', done: false });
  });
});

it('how things stand is what the last reading said, or that a constant fault is there', () => {
  expect(nowOf(stored())).toEqual({ warmth: 'unknown', faultPresent: 'yes' });
  const last = reading('battery-rest', 12.4);
  if (last.type === 'reading') Object.assign(last.reading, { warmth: 'hot', faultPresent: 'no' });
  expect(nowOf(stored([...events, last]))).toEqual({ warmth: 'hot', faultPresent: 'no' });
});
