import { FILE_FORMAT, FILE_VERSION, type PonduFile } from '@pondu/core/schema';
import type { Store } from './database.ts';
import { readHouse } from './house.ts';
import { insertEvent, insertJob, insertSnag, listJobs } from './jobs.ts';
import { getMachine, insertMachine, listMachines } from './machines.ts';

export async function exportFile(store: Store, machineId?: string): Promise<PonduFile> {
  const machines = machineId === undefined ? await listMachines(store) : [await getMachine(store, machineId)];
  const jobs = await listJobs(store);
  const { house } = await readHouse(store);
  return {
    format: FILE_FORMAT,
    version: FILE_VERSION,
    machines: machines.map(({ id, machine }) => ({
      id,
      machine,
      jobs: jobs
        .filter((j) => j.machineId === id)
        .map(({ id: jobId, job, events, snags }) => ({ ...job, id: jobId, events, snags })),
    })),
    ...(machineId === undefined ? { house } : {}),
  };
}

export interface Imported {
  machines: number;
  jobs: number;
  /** Names of machines that were here already; they and their jobs were left as they are. */
  skipped: string[];
}

/** All or nothing: a file that fails halfway leaves no trace. What is here already is never overwritten. */
export function importFile(store: Store, file: PonduFile): Promise<Imported> {
  return store.write(async (transaction) => {
    const done: Imported = { machines: 0, jobs: 0, skipped: [] };
    for (const { id, machine, jobs } of file.machines) {
      if (await store.models.machines.findByPk(id, { transaction })) {
        done.skipped.push(machine.name);
        continue;
      }
      await insertMachine(store, machine, transaction, id);
      done.machines++;
      for (const { id: jobId, events, snags, ...job } of jobs) {
        await insertJob(store, id, job, transaction, jobId);
        for (const event of events) await insertEvent(store, jobId, event, transaction);
        for (const snag of snags) await insertSnag(store, jobId, snag, transaction);
        done.jobs++;
      }
    }
    const house = await store.models.house.findByPk(1, { transaction });
    if (file.house && !house)
      await store.models.house.create({ id: 1, body: JSON.stringify(file.house), version: 1 }, { transaction });
    return done;
  });
}
