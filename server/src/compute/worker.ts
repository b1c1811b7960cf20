import { gunzipSync } from 'node:zlib';
import { getHeapStatistics } from 'node:v8';
import { TracerCache } from '@pondu/core';
import { readImport } from '../files/readImport.ts';
import type { Spool } from '../files/spool.ts';
import type { OfMachine } from './ofMachine.ts';
import { NEW_TO_ME, type Task } from './task.ts';
import { answer, type Answer, type TaskName } from './tasks.ts';

/** A thread's heap may grow to this before it forgets the machines it has longest not been asked about. */
const MOST_HEAP_BYTES = 70e6;

const cache = new TracerCache(Infinity);

/** Forgets until what is known to be used fits; the one just asked for stays. */
function makeRoom(): void {
  if (getHeapStatistics().used_heap_size > MOST_HEAP_BYTES)
    for (let i = 0; i < 2 && cache.size > 1; i++) cache.dropOldest();
}

/** Those that ask what every fault would read. */
const PREDICTING: ReadonlySet<TaskName> = new Set(['trace', 'ruler', 'causes', 'proof', 'summary']);

function recall({ machine, house }: OfMachine, gzipped: Uint8Array): void {
  try {
    cache.recall(machine, house, gunzipSync(gzipped).toString());
  } catch {
    // What cannot be read is as if there were none.
  }
}

export default function work<N extends TaskName>({
  name,
  input,
  simulated,
}: Task<N>): Answer<unknown> | typeof NEW_TO_ME {
  const { machine, house } = input;
  if (PREDICTING.has(name) && !cache.knows(machine, house)) {
    if (simulated === undefined) return NEW_TO_ME;
    if (simulated) recall(input, simulated);
  }
  const found = answer(cache, name, input);
  makeRoom();
  return found;
}

export const imports = ({ path, spool }: { path: string; spool: Spool }) => readImport(path, spool);
