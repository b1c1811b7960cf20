import type { BookView, Fix, Wired } from '@pondu/core';
import { bookSchema } from '@pondu/core/schema';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, complaint, machine, stored as storedJob } from '../../__tests__/support.tsx';
import type { OpenSnag } from '../../api/hooks.ts';
import type { StoredMachine } from '../../api/types.ts';
import { BookPanel } from './BookPanel.tsx';
import { DuePanel } from './DuePanel.tsx';
import { SeriesPanel } from './SeriesPanel.tsx';
import { inOrder } from './SnagOrder.tsx';
import { WiresPanel } from './WiresPanel.tsx';

const stored = (book: object = {}): StoredMachine => ({
  id: 'm1',
  version: 4,
  updatedAt: '2026-01-01T00:00:00Z',
  awayAt: null,
  machine: { ...machine, book: bookSchema.parse(book) },
});
const sent: {
  path: string;
  method: string;
  body: { book: { services: object[]; read: object[]; wires: object[] } };
}[] = [];
beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    sent.push({ path, method: String(init.method), body: JSON.parse(String(init.body)) as never });
    return Promise.resolve(new Response(JSON.stringify(stored()), { status: 200 }));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const fill = (label: string, text: string) => userEvent.type(screen.getByLabelText(label), text);
const press = (name: string) => userEvent.click(screen.getByRole('button', { name }));

describe('what is due', () => {
  const shown = (book: object = {}) =>
    render(
      <Around>
        <DuePanel stored={stored(book)} due={[]} />
      </Around>,
    );
  it('names what is missing before anything is sent, and keeps what was typed', async () => {
    shown();
    await press('Keep in view');
    expect(screen.getByRole('alert').textContent).toBe('Say what is to be done.');
    await fill('To be done', 'Oil');
    await press('Keep in view');
    expect(screen.getByRole('alert').textContent).toMatch(/^Say after how many months/);
    await fill('Every, months', 'soon');
    await press('Keep in view');
    expect(screen.getByRole('alert').textContent).toMatch(/numbers above nothing/);
    expect(screen.getByLabelText<HTMLInputElement>('To be done').value).toBe('Oil');
    expect(sent).toEqual([]);
  });
  it('adds to what is there, on the version on screen; the meter reads with a comma', async () => {
    shown({ services: [{ id: 'a', what: 'Belt', everyMonths: 12 }] });
    await fill('To be done', 'Oil');
    await fill('Every, hours', '50,5');
    await press('Keep in view');
    expect(sent[0]).toMatchObject({ path: '/api/machines/m1', method: 'PUT' });
    expect(sent[0]!.body.book.services).toMatchObject([
      { what: 'Belt' },
      { what: 'Oil', everyMeter: 50.5, everyMonths: null, lastAt: null },
    ]);
    await fill('Meter shows today', '812');
    await press('Write it down');
    expect(sent[1]!.body.book.read).toMatchObject([{ value: 812 }]);
  });
});

describe('wire labels', () => {
  it('a wire needs both its ends; a colour that is not the book’s stands out', async () => {
    render(
      <Around>
        <WiresPanel stored={stored({ wires: [{ id: 'w', from: 'coil', to: 'points', is: 'black', book: 'white' }] })} />
      </Around>,
    );
    expect(screen.getByText('black').className).toContain('text-warn');
    await fill('From', 'switch');
    await press('Add');
    expect(screen.getByRole('alert').textContent).toBe('Say where it goes.');
    await fill('To', 'coil +');
    await press('Add');
    expect(sent[0]!.body.book.wires).toMatchObject([{ from: 'coil' }, { from: 'switch', to: 'coil +' }]);
  });
});

describe('snags in their order', () => {
  const snag = (id: string, weight: OpenSnag['weight']): OpenSnag => ({
    id,
    what: id,
    weight,
    done: false,
    at: '2026-01-01T00:00:00Z',
    jobId: 'j',
  });
  const all = [snag('hood', 'looks'), snag('belt', 'reliability'), snag('hose', 'danger')];
  const ids = (order: string[]) => inOrder(all, order).map((s) => s.id);
  it('as somebody put them; what nobody has placed follows by danger, reliability, looks', () => {
    expect(ids([])).toEqual(['hose', 'belt', 'hood']);
    expect(ids(['hood'])).toEqual(['hood', 'hose', 'belt']);
    expect(ids(['gone', 'belt', 'hood'])).toEqual(['belt', 'hood', 'hose']);
  });
});

describe('the book', () => {
  const fix = (change: Partial<Fix>): Fix => ({
    id: 'f',
    repairId: '',
    what: 'Condenser renewed',
    how: 'replaced',
    parts: 'condenser',
    minutes: 10,
    money: 9,
    temporary: false,
    at: '2025-02-01T00:00:00Z',
    ...change,
  });
  const { job } = storedJob();
  const book: BookView = {
    series: [
      {
        id: 'points.gapMetres',
        label: 'Points gap',
        dimension: 'length',
        band: { low: 0.33e-3, high: 0.43e-3 },
        points: [
          { at: '2024-05-01T00:00:00Z', value: 0.5e-3, jobId: 'a', kind: 'found' },
          { at: '2024-05-01T00:00:00Z', value: 0.4e-3, jobId: 'a', kind: 'left' },
          { at: '2025-05-01T00:00:00Z', value: 0.38e-3, jobId: 'b', kind: 'left' },
        ],
      },
    ],
    jobs: [
      {
        id: 'a',
        job: { ...job, complaint },
        repairs: ['Points set'],
        causes: ['no grease'],
        minutes: 40,
        expectedMinutes: 25,
        money: 31,
        expectedMoney: 20,
      },
      {
        id: 'b',
        job: { ...job, stage: 'trace', complaint },
        repairs: [],
        causes: [],
        minutes: 0,
        expectedMinutes: 0,
        money: 0,
        expectedMoney: 0,
      },
    ],
    parts: [{ jobId: 'a', fix: fix({ partNumber: 'CD 7', source: 'the parcel' }) }],
    adapted: [],
    temporary: [{ jobId: 'a', fix: fix({ what: 'Bridge across the ballast', temporary: true }) }],
    due: [],
    kit: [{ what: 'Plugs', count: 4, money: 5, why: 'fit-out', note: '' }],
  };
  it('shows what is temporary first, the parts with their numbers, and costs against what was expected', () => {
    render(
      <Around>
        <BookPanel book={book} currency="€" />
      </Around>,
    );
    expect(screen.getByText('Bridge across the ballast')).toBeTruthy();
    expect(screen.getByText('CD 7')).toBeTruthy();
    const [, first, second] = screen.getAllByRole('row');
    expect(first!.textContent).toContain('40 (25)');
    expect(within(second!).getByText('still open')).toBeTruthy();
  });
  it('what was adapted stands with how it is wired, and with its circuit where it was worked out', () => {
    const wired = {
      way: { id: 'three-shunt', label: 'All three phases, shunt unit', legs: 3, control: 'shunt' },
      toBattery: { mm2: 2.5, fuseAmps: 20 },
      leg: { mm2: 1.5 },
    } as unknown as Wired;
    const unit = fix({ what: 'Regulator', how: 'adapted', way: 'three-shunt', wiring: 'Red over a fuse.' });
    const other = fix({ id: 'g', what: 'Fan', how: 'bypassed', way: 'gone since' });
    const adapted = [unit, other].map((f) => ({ jobId: 'a', fix: f }));
    render(
      <Around>
        <BookPanel book={{ ...book, adapted }} ways={[wired]} currency="€" />
      </Around>,
    );
    expect(screen.getByText('Red over a fuse.')).toBeTruthy();
    const [drawing, ...more] = screen.getAllByRole('img');
    expect(drawing!.getAttribute('aria-label')).toMatch(/^All three phases, shunt unit: .*fuse of 20 A/);
    expect(more).toEqual([]);
  });
  it('a search leaves what says so, and says when nothing does', async () => {
    render(
      <Around>
        <BookPanel book={book} currency="€" />
      </Around>,
    );
    await userEvent.type(screen.getByRole('searchbox', { name: 'Search the book' }), 'grease');
    await vi.waitFor(() => expect(screen.getAllByRole('row')).toHaveLength(2));
    await userEvent.type(screen.getByRole('searchbox', { name: 'Search the book' }), 'xyz');
    await vi.waitFor(() => expect(screen.getByText('Nothing in it says “greasexyz”.')).toBeTruthy());
  });
  it('a figure over the years is read out with its band', () => {
    render(
      <Around>
        <SeriesPanel series={book.series} />
      </Around>,
    );
    expect(screen.getByRole('img').getAttribute('aria-label')).toMatch(
      /Points gap: May 2024 found 0\.5 mm, May 2024 left 0\.4 mm/,
    );
    expect(screen.getByText(/should be 0\.33–0\.43 mm/)).toBeTruthy();
  });
});
