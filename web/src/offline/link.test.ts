import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Link } from './link.ts';

/** The streams that pages have open, each spoken into by the test. */
let streams: { onmessage?: (event: { data: string }) => void; onerror?: () => void; close: () => void }[];
/** Whoever holds the lock, and who waits for it; as the browser grants it to one page after the other. */
let queue: (() => Promise<void>)[];
let held: boolean;
const next = (): void => {
  const work = held ? undefined : queue.shift();
  if (!work) return;
  held = true;
  void work().then(() => {
    held = false;
    next();
  });
};
const locks = {
  request: (_name: string, { signal }: { signal: AbortSignal }, work: () => Promise<void>) => {
    queue.push(work);
    signal.addEventListener('abort', () => (queue = queue.filter((w) => w !== work)));
    next();
    return Promise.resolve();
  },
};
const channels = new Set<FakeChannel>();
class FakeChannel {
  onmessage?: (event: { data: unknown }) => void;
  constructor() {
    channels.add(this);
  }
  postMessage(data: unknown) {
    for (const c of channels) if (c !== this) c.onmessage?.({ data });
  }
}

const see = (hidden: boolean) => {
  Object.defineProperty(document, 'hidden', { value: hidden, configurable: true });
  document.dispatchEvent(new Event('visibilitychange'));
};
const tell = (told: object) => streams.at(-1)!.onmessage!({ data: JSON.stringify(told) });
const settled = () => vi.advanceTimersByTimeAsync(0);
const begun = (): { link: Link; heard: string[] } => {
  const [link, heard] = [new Link(), [] as string[]];
  link.listen((change) => heard.push(change.type));
  link.start();
  return { link, heard };
};

beforeEach(() => {
  vi.useFakeTimers();
  [streams, queue, held] = [[], [], false];
  channels.clear();
  vi.stubGlobal('BroadcastChannel', FakeChannel);
  vi.stubGlobal('fetch', () => Promise.resolve(new Response('{}', { status: 200 })));
  vi.stubGlobal('EventSource', function () {
    const stream = { close: () => void (streams = streams.filter((s) => s !== stream)) };
    streams.push(stream);
    return stream;
  });
  Object.defineProperty(navigator, 'locks', { value: locks, configurable: true });
  see(false);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  Reflect.deleteProperty(navigator, 'locks');
});

describe('pages of one browser', () => {
  it('share one stream: what one hears, all hear', async () => {
    const pages = Array.from({ length: 7 }, begun);
    await settled();
    expect(streams).toHaveLength(1);
    tell({ type: 'job', id: 'job-1', version: 2 });
    for (const { link, heard } of pages) {
      expect(heard).toEqual(['job']);
      expect(link.state).toBe('here');
    }
  });
  it('know that the line is gone though only one had it, and that it stands again', async () => {
    const pages = Array.from({ length: 3 }, begun);
    await settled();
    tell({ type: 'beat' });
    await vi.advanceTimersByTimeAsync(3000);
    expect(pages.map((p) => p.link.state)).toEqual(['gone', 'gone', 'gone']);
    await vi.advanceTimersByTimeAsync(1000);
    expect(streams).toHaveLength(1);
    tell({ type: 'beat' });
    expect(pages.map((p) => p.link.state)).toEqual(['here', 'here', 'here']);
  });
  it('have none while nobody sees them; seen again, a page asks for what it missed', async () => {
    const { link, heard } = begun();
    await settled();
    tell({ type: 'beat' });
    see(true);
    await settled();
    expect(streams).toHaveLength(0);
    // Out of sight it is not told to be gone, however long it rests.
    await vi.advanceTimersByTimeAsync(60_000);
    expect(link.state).toBe('here');
    see(false);
    await settled();
    tell({ type: 'beat' });
    expect(heard).toEqual(['missed']);
  });
  it('have one each where the browser gives no locks', () => {
    Reflect.deleteProperty(navigator, 'locks');
    begun();
    begun();
    expect(streams).toHaveLength(2);
  });
});
