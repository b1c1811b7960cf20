import { simulatedName, type House, type MachineBody, type TracerCache } from '@pondu/core';

/** Longer than this nobody waits: a worker simulates a machine in a few seconds itself. */
const PATIENCE_MS = 2000;

/**
 * Takes over what the workshop has simulated of a machine, once for each machine that a cache has not met. Where there
 * is none yet, or no signal, the cache simulates for itself and predicts the same.
 */
export function recalling(tracers: TracerCache, file: string): (machine: MachineBody, house: House) => Promise<void> {
  const asked = new Map<string, Promise<void>>();
  const ask = async (name: string, machine: MachineBody, house: House): Promise<void> => {
    try {
      const got = await fetch(`/api/simulated/${name}?by=${encodeURIComponent(file)}`, {
        signal: AbortSignal.timeout(PATIENCE_MS),
      });
      if (got.status === 200) tracers.recall(machine, house, await got.text());
    } catch {
      // As if there were none.
    }
  };
  return async (machine, house) => {
    if (tracers.knows(machine, house)) return;
    const name = simulatedName(machine, house);
    let asking = asked.get(name);
    if (!asking) asked.set(name, (asking = ask(name, machine, house).finally(() => asked.delete(name))));
    await asking;
  };
}
