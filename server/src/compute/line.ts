import type { Piscina } from 'piscina';
import { Problem } from '../http/problem.ts';

/** A thread and what waits for it, in the order of asking. What nobody waits for any more is passed over. */
export class Line {
  waiting = 0;
  private last: Promise<unknown> = Promise.resolve();
  private readonly thread: Piscina;

  constructor(thread: Piscina) {
    this.thread = thread;
  }

  /** `work` has the thread to itself until it has its answer. */
  run<T>(work: (thread: Piscina) => Promise<T>, left?: AbortSignal): Promise<T> {
    this.waiting++;
    const turn = this.last.then(() => {
      this.waiting--;
      if (left?.aborted) throw new Problem(408, 'left', 'Nobody waits for this any more.');
      return work(this.thread);
    });
    this.last = turn.catch(() => undefined);
    return turn;
  }
  destroy(): Promise<void> {
    return this.thread.destroy();
  }
}
