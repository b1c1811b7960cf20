import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { simulatedName, TracerCache, type MachineBody } from '@pondu/core';
import { jobBodySchema, ponduFileSchema, storedMachineSchema, type House } from '@pondu/core/schema';
import { answer } from './tasks.ts';
import { keepSimulated, keepWorkedOut } from './workedOut.ts';

/**
 * The bays of a folder's open jobs and then what was simulated of their machines, each in a file in `to`, as long as
 * `goesOn`.
 */
export async function workOutFolder(folder: string, to: string, goesOn: () => boolean): Promise<void> {
  const names = (await readdir(folder)).filter((n) => n.endsWith('.pondu.json')).sort();
  let house: House | undefined;
  for (const name of names) {
    const file = ponduFileSchema.parse(JSON.parse(await readFile(join(folder, name), 'utf8')));
    // As they are loaded: the first file's rules stand.
    house ??= file.house;
    if (!house) continue;
    for (const told of file.machines) {
      const machine = storedMachineSchema.parse(told.machine);
      const cache = new TracerCache(1);
      for (const { events, ...job } of told.jobs) {
        if (!goesOn()) return;
        if (job.stage === 'closed') continue;
        const input = { machine, house, job: jobBodySchema.parse(job), events };
        const made = answer(cache, 'summary', input);
        if (made.ok) await keepWorkedOut(to, input, made.value);
      }
      if (goesOn()) await simulate(cache, { machine, house }, to);
    }
  }
}

async function simulate(cache: TracerCache, of: { machine: MachineBody; house: House }, to: string): Promise<void> {
  const made = answer(cache, 'simulated', of);
  if (made.ok) await keepSimulated(to, simulatedName(of.machine, of.house), made.value);
}
