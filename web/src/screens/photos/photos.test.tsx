import type { JobEvent } from '@pondu/core';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Around, stored } from '../../__tests__/support.tsx';
import { PhotosPanel } from './PhotosPanel.tsx';
import { shrink } from './shrink.ts';

const sent: { path: string; method: string; body: unknown }[] = [];
const JPEG = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4, 5, 6, 7, 8]);
/** What the browser draws with: sizes alone matter here. */
let drawn: { width: number; height: number }[];
beforeEach(() => {
  localStorage.clear();
  sent.length = 0;
  drawn = [];
  vi.stubGlobal('fetch', (path: string, init: RequestInit) => {
    sent.push({
      path,
      method: String(init.method),
      body: typeof init.body === 'string' ? JSON.parse(init.body) : init.body,
    });
    return Promise.resolve(new Response(JSON.stringify(stored()), { status: 201 }));
  });
  vi.stubGlobal('createImageBitmap', () => Promise.resolve({ width: 4000, height: 3000, close: () => undefined }));
  vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({ drawImage: () => undefined } as never);
  vi.spyOn(HTMLCanvasElement.prototype, 'toBlob').mockImplementation(function (this: HTMLCanvasElement, done) {
    drawn.push({ width: this.width, height: this.height });
    done(new Blob([JPEG], { type: 'image/jpeg' }));
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

const file = (name: string, bytes: BlobPart, type = 'image/jpeg') => new File([bytes], name, { type });

describe('a photo made ready', () => {
  it('is drawn anew at no more than 1800 pixels a side, its shape kept', async () => {
    expect((await shrink(file('a.jpg', JPEG))).ok).toBe(true);
    expect(drawn).toEqual([{ width: 1800, height: 1350 }]);
  });
  it.each([
    ['words in a picture’s clothes', file('b.jpg', 'no picture'), /“b\.jpg” is no JPEG/],
    ['another kind', file('c.gif', 'GIF89a', 'image/gif'), /“c\.gif” is no JPEG/],
    ['too large', file('d.jpg', new Uint8Array(21 * 1024 * 1024)), /“d\.jpg” is larger than 20 MB/],
  ])('%s is refused by its name', async (_what, given, words) => {
    const made = await shrink(given);
    expect(made.ok ? '' : made.message).toMatch(words);
  });
  it('one that is cut off is refused by its name', async () => {
    vi.stubGlobal('createImageBitmap', () => Promise.reject(new Error('cut')));
    const made = await shrink(file('e.jpg', JPEG));
    expect(made.ok ? '' : made.message).toMatch(/“e\.jpg” cannot be read/);
  });
});

describe('photos of a job', () => {
  const photo = (change: object): JobEvent => ({
    type: 'photo',
    photo: {
      id: 'e1',
      picture: 'p1',
      station: '',
      words: '',
      pins: [],
      onCard: false,
      gone: false,
      at: '2026-01-01T00:00:00Z',
      ...change,
    },
  });
  const shown = (events: JobEvent[] = []) =>
    render(
      <Around>
        <PhotosPanel stored={stored(events)} stations={[{ id: 'cap', label: 'Cap', picture: 'cap' }]} />
      </Around>,
    );
  it('the picture goes up first, then what is said of it, under one id', async () => {
    shown();
    await userEvent.upload(screen.getByLabelText('Take or choose a photo'), file('a.jpg', JPEG));
    await vi.waitFor(() => expect(sent).toHaveLength(2));
    const [picture, said] = sent;
    expect(picture!.method).toBe('PUT');
    const id = /pictures\/([\w-]+)$/.exec(picture!.path)![1];
    expect(said).toMatchObject({ path: '/api/jobs/job-1/photos', body: { picture: id, words: '' } });
  });
  it('a pin put with the keyboard is saved with its words; the rest of the photo stays', async () => {
    shown([photo({ words: 'Cap', station: 'cap', onCard: true })]);
    await userEvent.click(screen.getByRole('button', { name: 'Words and pins' }));
    await userEvent.click(screen.getByRole('button', { name: 'put one in its middle' }));
    await userEvent.type(screen.getByLabelText('Pin 1: wire to terminal, which way it points'), 'to coil');
    await userEvent.click(screen.getByRole('button', { name: 'Save the words' }));
    expect(sent[0]!.body).toMatchObject({
      picture: 'p1',
      words: 'Cap',
      station: 'cap',
      onCard: true,
      pins: [{ x: 0.5, y: 0.5, words: 'to coil' }],
    });
  });
  it('words that are not saved yet outlive a tick, a reload, and what another device says', async () => {
    const user = userEvent.setup();
    const photo = (id: string, onCard: boolean): JobEvent => ({
      type: 'photo',
      photo: { id, picture: 'p1', station: '', words: '', pins: [], onCard, gone: false, at: '2026-01-01T10:00:00Z' },
    });
    const page = (events: JobEvent[]) => (
      <Around>
        <PhotosPanel stored={stored(events)} stations={[]} unfolded />
      </Around>
    );
    const shown = render(page([photo('a', false)]));
    await user.click(await screen.findByRole('button', { name: 'Words and pins' }));
    await user.type(screen.getByLabelText('What it shows'), 'red to plus');
    await user.click(screen.getByLabelText('On the card'));
    expect(sent.at(-1)!.body).toMatchObject({ onCard: true, words: '' });
    shown.rerender(page([photo('a', false), photo('b', true)]));
    expect(screen.getByLabelText<HTMLInputElement>('What it shows').value).toBe('red to plus');
    shown.unmount();
    render(page([photo('a', false), photo('b', true)]));
    await user.click(await screen.findByRole('button', { name: 'Words and pins' }));
    expect(screen.getByLabelText<HTMLInputElement>('What it shows').value).toBe('red to plus');
    await user.click(screen.getByRole('button', { name: 'Save the words' }));
    expect(sent.at(-1)!.body).toMatchObject({ words: 'red to plus', onCard: true });
    await vi.waitFor(() => expect(localStorage.getItem('pondu.draft.job-1.photo.p1')).toBeNull());
  });
  it('one taken away is said to be gone; its picture is not asked for again', async () => {
    shown([photo({ words: 'Cap' })]);
    await userEvent.click(screen.getByRole('button', { name: 'Take away' }));
    expect(sent[0]!.body).toMatchObject({ picture: 'p1', gone: true });
    cleanup();
    shown([photo({ words: 'Cap' }), photo({ id: 'e2', gone: true })]);
    expect(screen.queryByRole('img')).toBeNull();
  });
});
