import { getHeapStatistics } from 'node:v8';
import { TracerCache } from '@pondu/core';
import { readImport } from '../files/readImport.ts';
import type { Spool } from '../files/spool.ts';
import { answer, type Answer, type Input, type TaskName } from './tasks.ts';

/** A thread's heap may grow to this before it forgets the machines it has longest not been asked about. */
const MOST_HEAP_BYTES = 70e6;

const cache = new TracerCache(Infinity);

/** Forgets until what is known to be used fits; the one just asked for stays. */
function makeRoom(): void {
  if (getHeapStatistics().used_heap_size > MOST_HEAP_BYTES)
    for (let i = 0; i < 2 && cache.size > 1; i++) cache.dropOldest();
}

export default function work<N extends TaskName>({ name, input }: { name: N; input: Input<N> }): Answer<unknown> {
  const found = answer(cache, name, input);
  makeRoom();
  return found;
}

export const imports = ({ path, spool }: { path: string; spool: Spool }) => readImport(path, spool);
