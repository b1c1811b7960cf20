import { Router } from 'express';
import type { Compute } from '../compute/compute.ts';
import { beginStream } from '../http/stream.ts';
import { param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { getMachine } from '../store/machines.ts';
import { meterQuerySchema } from './schemas.ts';

/** The simulated meter: a stand-in device that streams what a meter would show on a chosen machine with a hidden fault. */
export function meterRoutes(store: Store, compute: Compute): Router {
  const routes = Router();
  routes.get('/:id/meter', async (req, res) => {
    const { check, seed, fault } = query(req, meterQuerySchema);
    const { machine } = await getMachine(store, param(req, 'id'));
    const { house } = await readHouse(store);
    const run = await compute.run('meter', { machine, house, checkId: check, seed, fault });
    const stream = beginStream(req, res);
    let at = 0;
    const tick = () => {
      stream.send(run.shown[at++]);
      if (at < run.shown.length) return;
      clearInterval(timer);
      stream.end();
    };
    const timer = setInterval(tick, run.everySeconds * 1000);
    stream.ended(() => clearInterval(timer));
    tick();
  });
  return routes;
}
