import { TracerCache } from '@pondu/core';
import type { Reader } from '../files/import.ts';
import { readImport } from '../files/readImport.ts';
import { Problem } from '../http/problem.ts';
import type { OfMachine } from './ofMachine.ts';
import { answer, type Answer, type Input, type Output, type TaskName } from './tasks.ts';

/** Where the server's computing is done. */
export interface Compute {
  /** Throws the Problem that the task found, or, where whoever asked has left before its turn came, that. */
  run<N extends TaskName>(name: N, input: Input<N> & OfMachine, left?: AbortSignal): Promise<Output<N>>;
  readImport: Reader;
  close(): Promise<void>;
}

export function valueOf<T>(got: Answer<T>): T {
  if (got.ok) return got.value;
  throw new Problem(got.status, got.code, got.title, got.facts);
}

const TRACERS_KEPT = 6;

/** On the thread that asks: for tests, and where there are no others. */
export function computeHere(): Compute {
  const cache = new TracerCache(TRACERS_KEPT);
  return {
    run: (name, input) => Promise.resolve().then(() => valueOf(answer(cache, name, input))),
    readImport,
    close: () => Promise.resolve(),
  };
}
