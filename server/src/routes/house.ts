import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import { Router } from 'express';
import { expectedVersion, over, param } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse, writeHouse } from '../store/house.ts';
import { journalled, readJournal } from '../store/journal.ts';
import { updateMachine } from '../store/machines.ts';
import { byOf } from './entries.ts';

export function houseRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', async (_req, res) => void res.json(await readHouse(store)));
  routes.put('/', async (req, res) => {
    const { house: stored } = await readHouse(store);
    res.json(await writeHouse(store, over(req, stored, houseSchema), expectedVersion(req), byOf(req)));
  });
  return routes;
}

/** Changes of house rules and machines, each to be put back; putting back is a change like any other. */
export function journalRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', async (_req, res) => void res.json(await readJournal(store)));
  routes.post('/:seq/put-back', async (req, res) => {
    const { what, ref, before } = await journalled(store, param(req, 'seq'));
    if (what === 'house') await writeHouse(store, houseSchema.parse(before), undefined, byOf(req));
    else await updateMachine(store, ref, storedMachineSchema.parse(before), undefined, byOf(req));
    res.json(await readJournal(store));
  });
  return routes;
}
