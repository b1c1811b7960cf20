import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { valueOf, type Compute } from './compute.ts';
import type { Answer, OfMachine } from './tasks.ts';

/** One thread stays free to answer with. */
const threads = (): number => Math.max(1, availableParallelism() - 1);
/** A thread that knows a machine is worth waiting for, up to so many questions. */
const PATIENCE = 4;
const HEAP_MB = 256;
/** The thread that reads imports goes when there are none. */
const IMPORT_IDLE_MS = 5000;

const hashOf = (text: string): number => createHash('sha256').update(text).digest().readUInt32BE(0);

/**
 * Computing on threads beside the one that answers. Each thread keeps the machines that it was asked about, so all that
 * is asked of one machine goes to the same one, unless that has a queue and another has none. `worker` is the file of
 * compute/worker, built or as it is.
 */
export function computePool(worker: string): Compute {
  const execArgv = worker.endsWith('.ts') ? ['--import', 'tsx'] : [];
  const options = { filename: worker, execArgv, resourceLimits: { maxOldGenerationSizeMb: HEAP_MB } };
  const pools = Array.from(
    { length: threads() },
    () => new Piscina({ ...options, minThreads: 1, maxThreads: 1, idleTimeout: Infinity }),
  );
  const imports = new Piscina({ ...options, minThreads: 0, maxThreads: 1, idleTimeout: IMPORT_IDLE_MS });

  function threadFor({ machine, house }: OfMachine): Piscina {
    const known = pools[hashOf(JSON.stringify([machine.fitOut, machine.plates, machine.worth, house])) % pools.length]!;
    if (known.queueSize < PATIENCE) return known;
    return pools.find((p) => p.queueSize === 0) ?? known;
  }
  return {
    run: async (name, input) => {
      const { machine, house } = input;
      return valueOf((await threadFor({ machine, house }).run({ name, input })) as Answer<never>);
    },
    readImport: (path, spool) => imports.run({ path, spool }, { name: 'imports' }),
    close: async () => {
      await Promise.all([...pools, imports].map((p) => p.destroy()));
    },
  };
}
