import { drawFault, HiddenMachine, seededRandom, SimulatedMeter, tracerFor } from '@pondu/core';
import { Router } from 'express';
import { z } from 'zod';
import { notFound } from '../http/problem.ts';
import { param, query } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { readHouse } from '../store/house.ts';
import { getMachine } from '../store/machines.ts';

export const meterQuerySchema = z.object({
  check: z.string().min(1, 'Say which check.').max(80),
  /** Draws the machine's own figures and, without `fault`, what is wrong with it: the same seed, the same machine. */
  seed: z.coerce.number().int().min(0).max(1e9).default(1),
  /** `part.mode`, or `none` for a sound machine. */
  fault: z.string().max(80).optional(),
});

const EVERY_MS = 250;
/** Nobody cranks longer. */
const LAST_SECONDS = 30;

/** The simulated meter: a stand-in device that streams what a meter would show on a chosen machine with a hidden fault. */
export function meterRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/:id/meter', async (req, res) => {
    const asked = query(req, meterQuerySchema);
    const { machine } = await getMachine(store, param(req, 'id'));
    const { model } = tracerFor(machine, (await readHouse(store)).house);
    const check = model.checks.find((c) => c.id === asked.check);
    if (!check) throw notFound('check on this machine', asked.check);
    const named = model.faults.find((f) => f.id === asked.fault);
    if (asked.fault && asked.fault !== 'none' && !named) throw notFound('way of failing on this machine', asked.fault);
    const random = seededRandom(asked.seed);
    const faults = asked.fault === 'none' ? [] : [named ?? drawFault(model, random)];
    // Which check is asked must not change the machine: its figures are drawn from a seed of their own.
    const meter = new SimulatedMeter(new HiddenMachine(model, faults, seededRandom(asked.seed + 7)), check, random);

    res.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      Connection: 'keep-alive',
    });
    const started = Date.now();
    const tick = () => {
      const seconds = (Date.now() - started) / 1000;
      res.write(`data: ${JSON.stringify(meter.at(seconds))}\n\n`);
      if (seconds > LAST_SECONDS) stop();
    };
    const timer = setInterval(tick, EVERY_MS);
    const stop = () => {
      clearInterval(timer);
      res.end('event: done\ndata: {}\n\n');
    };
    req.on('close', () => clearInterval(timer));
    tick();
  });
  return routes;
}
