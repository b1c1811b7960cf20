import { houseSchema } from '@pondu/core/schema';
import { Router } from 'express';
import { body, expectedVersion } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse, writeHouse } from '../store/house.ts';

export function houseRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', async (_req, res) => void res.json(await readHouse(store)));
  routes.put(
    '/',
    async (req, res) => void res.json(await writeHouse(store, body(req, houseSchema), expectedVersion(req))),
  );
  return routes;
}
