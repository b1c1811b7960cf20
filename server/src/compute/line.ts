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

  run(task: object, left?: AbortSignal): Promise<unknown> {
    this.waiting++;
    const turn = this.last.then(() => {
      this.waiting--;
      if (left?.aborted) throw new Problem(408, 'left', 'Nobody waits for this any more.');
      return this.thread.run(task) as Promise<unknown>;
    });
    this.last = turn.catch(() => undefined);
    return turn;
  }
  destroy(): Promise<void> {
    return this.thread.destroy();
  }
}
