import { createHash } from 'node:crypto';
import { availableParallelism } from 'node:os';
import { simulatedName } from '@pondu/core';
import { Piscina } from 'piscina';
import { valueOf, type Compute } from './compute.ts';
import { Line } from './line.ts';
import type { OfMachine } from './ofMachine.ts';
import type { Answer, Input, TaskName } from './tasks.ts';
import { NEW_TO_ME, type Task } from './task.ts';

/** One thread stays free to answer with. */
const threads = (): number => Math.max(1, availableParallelism() - 1);
/** A thread that knows a machine is worth waiting for, up to so many questions. */
const PATIENCE = 4;
const HEAP_MB = 256;
const YOUNG_MB = 12;
/** The threads that read imports and work out the bays go when there is nothing for them. */
const IDLE_MS = 5000;

const hashOf = (text: string): number => createHash('sha256').update(text).digest().readUInt32BE(0);

/**
 * Computing on threads beside the one that answers. Each thread keeps the machines that it was asked about, so all that
 * is asked of one machine goes to the same one, unless that has a queue and another has none. What was simulated of a
 * machine before is given to a thread that has not met it, gzipped. `worker` is the file of compute/worker, built or as
 * it is.
 */
export function computePool(worker: string, simulationOf: (name: string) => Promise<Uint8Array | undefined>): Compute {
  const execArgv = worker.endsWith('.ts') ? ['--import', 'tsx'] : [];
  const options = {
    filename: worker,
    execArgv,
    resourceLimits: { maxOldGenerationSizeMb: HEAP_MB, maxYoungGenerationSizeMb: YOUNG_MB },
  };
  const always = () => new Line(new Piscina({ ...options, minThreads: 1, maxThreads: 1, idleTimeout: Infinity }));
  const pools = Array.from({ length: threads() }, always);
  // A reading is written down at once, whatever is being traced.
  const readings = always();
  const whenWanted = { ...options, minThreads: 0, maxThreads: 1, idleTimeout: IDLE_MS };
  const imports = new Piscina(whenWanted);
  // What nobody waits for keeps nobody waiting: the bays have a thread beside those that answer.
  const bays = new Line(new Piscina(whenWanted));

  function threadFor(name: TaskName, { machine, house }: OfMachine): Line {
    if (name === 'summary' || name === 'simulated') return bays;
    if (name === 'reading') return readings;
    const known = pools[hashOf(JSON.stringify([machine.fitOut, machine.plates, machine.worth, house])) % pools.length]!;
    if (known.waiting < PATIENCE) return known;
    return pools.find((p) => p.waiting === 0) ?? known;
  }
  async function worked<N extends TaskName>(thread: Piscina, name: N, input: Input<N>): Promise<Answer<never>> {
    const ask = (task: Task<N>) => thread.run(task) as Promise<Answer<never> | typeof NEW_TO_ME>;
    const got = await ask({ name, input });
    if (got !== NEW_TO_ME) return got;
    const simulated = (await simulationOf(simulatedName(input.machine, input.house))) ?? null;
    return (await ask({ name, input, simulated })) as Answer<never>;
  }
  return {
    run: async (name, input, left) =>
      valueOf(await threadFor(name, input).run((thread) => worked(thread, name, input), left)),
    readImport: (path, spool) => imports.run({ path, spool }, { name: 'imports' }),
    close: async () => {
      await Promise.all([...pools, readings, imports, bays].map((p) => p.destroy()));
    },
  };
}
