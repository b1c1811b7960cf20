import { useSyncExternalStore } from 'react';
import type { Change } from '../api/types.ts';

export type LinkState = 'unknown' | 'here' | 'gone' | 'not let in';

/** What the server tells as it changes; the beat only says that it is there. */
type Told = Change | { type: 'beat' };

/** A beat comes every 0.9 s; one missed may be a busy machine, two are none. */
const SILENCE_MS = 1600;
const LOOK_MS = 300;
const AGAIN_MS = 700;

/** The line to the workshop: whether it stands, and what comes down it. */
class Link {
  state: LinkState = 'unknown';
  private readonly watchers = new Set<() => void>();
  private readonly listeners = new Set<(change: Change) => void>();
  private source: EventSource | undefined;
  private heard = 0;
  private started = false;

  start(): void {
    if (this.started || typeof EventSource === 'undefined') return;
    this.started = true;
    this.connect();
    setInterval(() => this.look(), LOOK_MS);
    addEventListener('offline', () => this.lost());
    addEventListener('online', () => this.connect());
  }

  private connect(): void {
    this.source?.close();
    this.heard = Date.now();
    const source = new EventSource('/api/changes');
    this.source = source;
    source.onmessage = (event) => {
      this.heard = Date.now();
      this.set('here');
      const change = JSON.parse(event.data as string) as Told;
      if (change.type !== 'beat') for (const listener of this.listeners) listener(change);
    };
    source.onerror = () => this.lost();
  }
  private look(): void {
    if (this.source && Date.now() - this.heard > SILENCE_MS) this.lost();
  }
  private lost(): void {
    if (!this.source) return;
    this.source.close();
    this.source = undefined;
    this.set('gone');
    void this.why();
    setTimeout(() => this.connect(), AGAIN_MS);
  }
  /** Gone, or there and not letting this device in: a stream's error does not say which. */
  private async why(): Promise<void> {
    try {
      const { status } = await fetch('/api/door', { signal: AbortSignal.timeout(SILENCE_MS) });
      if (status === 401 && this.state === 'gone') this.set('not let in');
    } catch {
      // Gone, as was said.
    }
  }
  private set(state: LinkState): void {
    if (state === this.state) return;
    this.state = state;
    for (const watcher of this.watchers) watcher();
  }

  watch = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => void this.watchers.delete(watcher);
  };
  listen(listener: (change: Change) => void): () => void {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  }
}

export const link = new Link();
export const useLink = (): LinkState =>
  useSyncExternalStore(
    link.watch,
    () => link.state,
    () => link.state,
  );
