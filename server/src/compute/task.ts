import type { Input, TaskName } from './tasks.ts';

/** What a thread is asked to do. */
export interface Task<N extends TaskName = TaskName> {
  name: N;
  input: Input<N>;
  /** What was simulated of this machine before, gzipped; null where there is none. Left out, it may be asked for. */
  simulated?: Uint8Array | null | undefined;
}

/** Instead of an answer: this machine is new to the thread, which would have to simulate it for seconds. */
export const NEW_TO_ME = 'new to me';
