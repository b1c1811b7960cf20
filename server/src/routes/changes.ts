import { Router } from 'express';
import { beginStream } from '../http/stream.ts';
import type { Store } from '../store/database.ts';

/** A page that hears nothing for twice as long takes the server for gone. */
const BEAT_MS = 900;

/** What changes, as it changes, to every page that is open. */
export function changeRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/', (req, res) => {
    const stream = beginStream(req, res);
    const stop = store.changes.listen((change) => stream.send(change));
    const beat = setInterval(() => stream.send({ type: 'beat' }), BEAT_MS);
    stream.ended(() => {
      stop();
      clearInterval(beat);
    });
    stream.send({ type: 'beat' });
  });
  return routes;
}
