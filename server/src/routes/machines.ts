import { freeProbeSchema, machineBodySchema, type MachineBody } from '@pondu/core/schema';
import { Router } from 'express';
import { z } from 'zod';
import type { Compute } from '../compute/compute.ts';
import { invalid } from '../http/problem.ts';
import { body, expectedVersion, over, param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { jobsOf } from '../store/jobs.ts';
import { machineRows, openSnags } from '../store/lists.ts';
import { createMachine, getMachine, setMachineDeleted, updateMachine } from '../store/machines.ts';
import { byOf } from './entries.ts';
import { circuitQuerySchema, machinesQuerySchema } from './schemas.ts';

/** With the id that the client made for it, so that a lost answer may be asked for again. */
export const newMachineSchema = machineBodySchema
  .extend({ id: z.string().min(1).max(64).optional() })
  .meta({ id: 'NewMachine' });

/** `changed` is told of each machine that is new or has other figures. */
export function machineRoutes(store: Store, compute: Compute, changed: (machineId: string) => void): Router {
  const routes = Router();
  const ofMachine = async (id: string) => {
    const { machine } = await getMachine(store, id);
    return { machine, house: (await readHouse(store)).house };
  };
  /** Refuses figures with which the machine cannot be computed, by their field; those stored before stay as they are. */
  async function computable(machine: MachineBody, stored?: MachineBody): Promise<MachineBody> {
    const fresh = Object.entries(machine.plates).filter(
      ([id, plate]) => JSON.stringify(plate) !== JSON.stringify(stored?.plates[id]),
    );
    const changed = { ...machine, plates: Object.fromEntries(fresh) };
    const wrong = await compute.run('figures', { machine: changed, house: (await readHouse(store)).house });
    if (wrong.length) throw invalid(wrong);
    return machine;
  }

  routes.get('/', async (req, res) => void res.json(await machineRows(store, query(req, machinesQuerySchema))));
  routes.post('/', async (req, res) => {
    const { id, ...machine } = body(req, newMachineSchema);
    const made = await createMachine(store, await computable(machine), id);
    res.status(201).location(`/api/machines/${made.id}`).json(made);
    changed(made.id);
  });
  routes.get('/:id', async (req, res) => void res.json(await getMachine(store, param(req, 'id'))));
  routes.put('/:id', async (req, res) => {
    const { machine: stored } = await getMachine(store, param(req, 'id'));
    const machine = await computable(over(req, stored, machineBodySchema), stored);
    res.json(await updateMachine(store, param(req, 'id'), machine, expectedVersion(req), byOf(req)));
    changed(param(req, 'id'));
  });
  routes.delete('/:id', async (req, res) => {
    await setMachineDeleted(store, param(req, 'id'), true);
    res.status(204).end();
  });
  routes.post('/:id/restore', async (req, res) => {
    await setMachineDeleted(store, param(req, 'id'), false);
    res.json(await getMachine(store, param(req, 'id')));
  });
  routes.get('/:id/snags', async (req, res) => {
    await getMachine(store, param(req, 'id'));
    res.json(await openSnags(store, param(req, 'id')));
  });

  /** Its jobs with all that happened on them: what its book is worked out from. */
  routes.get('/:id/book', async (req, res) => {
    await getMachine(store, param(req, 'id'));
    res.json(await jobsOf(store, param(req, 'id')));
  });

  /** Every check of this machine's trail with what it should read when all is well. */
  routes.get('/:id/checks', async (req, res) => {
    res.json(await compute.run('checks', await ofMachine(param(req, 'id'))));
  });
  /** Where leads can be put beside the checks that are listed; a free probe as a check, with the id for its readings. */
  routes.get('/:id/probes', async (req, res) => {
    res.json(await compute.run('probing', await ofMachine(param(req, 'id'))));
  });
  routes.post('/:id/probes', async (req, res) => {
    const probe = body(req, freeProbeSchema);
    res.json(await compute.run('probe', { ...(await ofMachine(param(req, 'id'))), probe }));
  });
  /** Plate values in force: the machine's own, and typical ones where it has none. */
  routes.get('/:id/plates', async (req, res) => {
    res.json(await compute.run('plates', await ofMachine(param(req, 'id'))));
  });
  /** The machine in one state as a SPICE netlist, for anyone to check. */
  routes.get('/:id/circuit.cir', async (req, res) => {
    const { key, points, fault } = query(req, circuitQuerySchema);
    const of = await ofMachine(param(req, 'id'));
    const text = await compute.run('circuit', { ...of, state: { key, points }, fault });
    res.attachment('machine.cir').type('text/plain').send(text);
  });
  return routes;
}
