/** One writer at a time: SQLite has one lock, and waiting for it here costs no thread. */
export class WriteQueue {
  private tail: Promise<unknown> = Promise.resolve();

  run<T>(work: () => Promise<T>): Promise<T> {
    const next = this.tail.then(work, work);
    this.tail = next.catch(() => undefined);
    return next;
  }

  /** Resolves when all that was asked for so far is written. */
  idle(): Promise<unknown> {
    return this.tail;
  }
}
