import { useSyncExternalStore } from 'react';
import type { Change } from '../api/types.ts';

export type LinkState = 'unknown' | 'here' | 'gone' | 'not let in';

/** What the server tells as it changes; the beat only says that it is there. */
type Told = Change | { type: 'beat' };
/** This page was out of sight: what changed meanwhile it has not heard. */
export interface Missed {
  type: 'missed';
}
const MISSED: Missed = { type: 'missed' };

/** A beat comes every 0.9 s; one missed may be a busy machine, two are none. */
const SILENCE_MS = 1600;
const LOOK_MS = 300;
const AGAIN_MS = 700;

/** Pages of this browser hear of one another here; one of them, whoever holds the lock, has the stream. */
const CHANNEL = 'pondu-link';
const LOCK = 'pondu-stream';

/**
 * The line to the workshop: whether it stands, and what comes down it. A browser opens six connections to a host, so its
 * pages share one stream: the one that leads passes on what it hears. A page that nobody sees has none.
 */
export class Link {
  state: LinkState = 'unknown';
  private readonly watchers = new Set<() => void>();
  private readonly listeners = new Set<(change: Change | Missed) => void>();
  private source: EventSource | undefined;
  private channel: BroadcastChannel | undefined;
  private heard = 0;
  private started = false;
  private awake = false;
  /** It was not seen for a while, and has heard nothing since. */
  private rested = false;
  /** Ends its waiting for the lead, or its leading. */
  private stepDown: () => void = () => undefined;

  start(): void {
    if (this.started || typeof EventSource === 'undefined') return;
    this.started = true;
    if (typeof BroadcastChannel !== 'undefined') {
      this.channel = new BroadcastChannel(CHANNEL);
      this.channel.onmessage = (event) => this.hear(event.data as Told);
    }
    setInterval(() => this.look(), LOOK_MS);
    addEventListener('offline', () => this.lost());
    addEventListener('online', () => this.source || !this.awake || this.lead());
    document.addEventListener('visibilitychange', () => (document.hidden ? this.rest() : this.wake()));
    if (!document.hidden) this.wake();
  }

  private wake(): void {
    if (this.awake) return;
    this.awake = true;
    this.heard = Date.now();
    this.lead();
  }
  private rest(): void {
    this.awake = false;
    this.rested = true;
    this.stepDown();
  }

  /** Takes the stream, or waits until whoever has it goes. Without locks, as on a plain address, each page has its own. */
  private lead(): void {
    this.stepDown();
    const { locks } = navigator as { locks?: LockManager };
    if (!locks || !this.channel) {
      this.stepDown = () => this.close();
      return this.connect();
    }
    const waiting = new AbortController();
    const leading = new Promise<void>((done) => {
      this.stepDown = () => {
        waiting.abort();
        this.close();
        done();
      };
    });
    locks
      .request(LOCK, { signal: waiting.signal }, () => {
        this.connect();
        return leading;
      })
      .catch(() => undefined);
  }

  private connect(): void {
    this.close();
    if (!this.awake) return;
    this.heard = Date.now();
    const source = new EventSource('/api/changes');
    this.source = source;
    source.onmessage = (event) => {
      const told = JSON.parse(event.data as string) as Told;
      this.channel?.postMessage(told);
      this.hear(told);
    };
    source.onerror = () => this.lost();
  }
  private close(): void {
    this.source?.close();
    this.source = undefined;
  }
  private hear(told: Told): void {
    if (!this.awake) return;
    this.heard = Date.now();
    this.set('here');
    const changes = [...(this.rested ? [MISSED] : []), ...(told.type === 'beat' ? [] : [told])];
    this.rested = false;
    for (const change of changes) for (const listener of this.listeners) listener(change);
  }
  private look(): void {
    if (this.awake && this.state !== 'gone' && Date.now() - this.heard > SILENCE_MS) this.lost();
  }
  private lost(): void {
    if (!this.awake) return;
    const leads = this.source !== undefined;
    this.close();
    this.set('gone');
    void this.why();
    // One that does not lead hears it from whoever does.
    if (leads) setTimeout(() => this.connect(), AGAIN_MS);
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
  listen(listener: (change: Change | Missed) => void): () => void {
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
