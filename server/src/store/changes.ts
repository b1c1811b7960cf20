import type { Change } from '@pondu/core';

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
