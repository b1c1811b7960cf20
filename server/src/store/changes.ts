import type { BaySummary } from '@pondu/core';

/** What a page that is open must know of: one `type` a member. */
export type Change =
  | { type: 'job'; id: string; version: number }
  | { type: 'jobs' }
  | { type: 'machine'; id: string }
  | { type: 'machines' }
  | { type: 'house' }
  | { type: 'devices' }
  | { type: 'summary'; id: string; summary: Summary };

/** What a bay shows, or why it cannot be computed. */
export type Summary = { ok: true; bay: BaySummary } | { ok: false; message: string };

type Listener = (change: Change) => void;

export class Changes {
  private readonly listeners = new Set<Listener>();

  /** Gives back what ends the listening. */
  listen(listener: Listener): () => void {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  }
  tell(change: Change): void {
    for (const listener of this.listeners) listener(change);
  }
}
