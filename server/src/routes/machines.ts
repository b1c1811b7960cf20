import { checkView, machineCircuit, platesView, ruler, tracerFor } from '@pondu/core';
import { machineBodySchema } from '@pondu/core/schema';
import { Router } from 'express';
import { notFound } from '../http/problem.ts';
import { body, expectedVersion, param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { circuitQuerySchema } from './schemas.ts';
import { createMachine, getMachine, listMachines, setMachineDeleted, updateMachine } from '../store/machines.ts';

export function machineRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', async (_req, res) => void res.json(await listMachines(store)));
  routes.post('/', async (req, res) => {
    const made = await createMachine(store, body(req, machineBodySchema));
    res.status(201).location(`/api/machines/${made.id}`).json(made);
  });
  routes.get('/:id', async (req, res) => void res.json(await getMachine(store, param(req, 'id'))));
  routes.put('/:id', async (req, res) => {
    res.json(await updateMachine(store, param(req, 'id'), body(req, machineBodySchema), expectedVersion(req)));
  });
  routes.delete('/:id', async (req, res) => {
    await setMachineDeleted(store, param(req, 'id'), true);
    res.status(204).end();
  });
  routes.post('/:id/restore', async (req, res) => {
    await setMachineDeleted(store, param(req, 'id'), false);
    res.json(await getMachine(store, param(req, 'id')));
  });

  /** Every check of this machine's trail with what it should read when all is well. */
  routes.get('/:id/checks', async (req, res) => {
    const { machine } = await getMachine(store, param(req, 'id'));
    const tracer = tracerFor(machine, (await readHouse(store)).house);
    res.json(
      tracer.model.checks.map((check) => {
        const { well } = ruler(tracer.weigher, check, []);
        return { ...checkView(check), state: check.state, well };
      }),
    );
  });
  /** Plate values in force: the machine's own, and typical ones where it has none. */
  routes.get('/:id/plates', async (req, res) => {
    const { machine } = await getMachine(store, param(req, 'id'));
    const { model } = tracerFor(machine, (await readHouse(store)).house);
    res.json(platesView(model));
  });
  /** The machine in one state as a SPICE netlist, for anyone to check. */
  routes.get('/:id/circuit.cir', async (req, res) => {
    const { key, points, fault } = query(req, circuitQuerySchema);
    const { machine } = await getMachine(store, param(req, 'id'));
    const { model } = tracerFor(machine, (await readHouse(store)).house);
    const circuit = machineCircuit(machine.name, model, { key, points }, fault);
    if (!circuit.ok) throw notFound('way of failing on this machine', fault ?? '');
    res.attachment('machine.cir').type('text/plain').send(circuit.text);
  });
  return routes;
}
