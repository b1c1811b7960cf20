import { Router } from 'express';
import { beginStream, type Stream } from '../http/stream.ts';
import type { Store } from '../store/database.ts';

/** A page that hears nothing for twice as long takes the server for gone. */
const BEAT_MS = 900;

/** What changes, as it changes, to every page that is open. A device that is put out hears no more. */
export function changeRoutes(store: Store): { routes: Router; endFor: (deviceId: string) => void } {
  const routes = Router();
  const ofDevice = new Map<string, Set<Stream>>();

  routes.get('/', (req, res) => {
    const stream = beginStream(req, res);
    const stop = store.changes.listen((change) => stream.send(change));
    const beat = setInterval(() => stream.send({ type: 'beat' }), BEAT_MS);
    const id = req.device?.id ?? '';
    const own = ofDevice.get(id) ?? new Set();
    ofDevice.set(id, own.add(stream));
    stream.ended(() => {
      stop();
      clearInterval(beat);
      own.delete(stream);
    });
    stream.send({ type: 'beat' });
  });
  return {
    routes,
    endFor: (deviceId) => {
      for (const stream of ofDevice.get(deviceId) ?? []) stream.end();
    },
  };
}
