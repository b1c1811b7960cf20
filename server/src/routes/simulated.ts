import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { Router } from 'express';
import { param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { simulationOf } from '../store/simulations.ts';
import { simulatedQuerySchema } from './schemas.ts';

/**
 * What the workshop has simulated of a machine. `by` is the file that asks: a page of another build, kept by the
 * browser, computes otherwise and gets nothing.
 */
export function simulatedRoutes(store: Store, webFolder: string | undefined): Router {
  const routes = Router();
  const assets = (): Promise<string[]> =>
    webFolder === undefined ? Promise.resolve([]) : readdir(join(webFolder, 'assets')).catch(() => []);
  routes.get('/:name', async (req, res) => {
    const { by } = query(req, simulatedQuerySchema);
    const found = (await assets()).includes(by) ? await simulationOf(store, param(req, 'name')) : undefined;
    // Nothing yet is no failure: the page simulates for itself.
    if (!found) return void res.status(204).end();
    res.set({ 'Content-Type': 'application/json', 'Content-Encoding': 'gzip' }).send(found);
  });
  return routes;
}
