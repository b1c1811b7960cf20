import { createReadStream } from 'node:fs';
import { mkdtemp, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { BackupsView } from '@pondu/core';
import { ponduFileSchema } from '@pondu/core/schema';
import { Router, type Response } from 'express';
import { z } from 'zod';
import type { Compute } from '../compute/compute.ts';
import { exportable, exportFile } from '../files/export.ts';
import { importStream } from '../files/import.ts';
import { param, query } from '../http/request.ts';
import { exportQuerySchema } from './schemas.ts';
import type { Store } from '../store/database.ts';

export function fileRoutes(store: Store, compute: Compute): Router {
  const routes = Router();
  const send = (res: Response, name: string, what: { machineId?: string; photos: boolean }) =>
    store.snapshot(async (transaction) => {
      res.attachment(name).type('application/json');
      await pipeline(Readable.from(exportFile(store, transaction, what)), res).catch((error: unknown) => {
        // Gone before the end: nobody is left to be told.
        if (!res.destroyed) throw error;
      });
    });
  routes.get('/export', (req, res) => send(res, 'workshop.pondu.json', query(req, exportQuerySchema)));
  routes.get('/machines/:id/export', async (req, res) => {
    await exportable(store, param(req, 'id'));
    await send(res, 'machine.pondu.json', { machineId: param(req, 'id'), ...query(req, exportQuerySchema) });
  });
  routes.post('/import', async (req, res) => {
    res.status(201).json(await importStream(store, compute.readImport, req));
  });
  routes.get('/schema/pondu-file.json', (_req, res) => {
    res.json(z.toJSONSchema(ponduFileSchema, { io: 'input' }));
  });
  /** Copies that are made by themselves. */
  routes.get('/backups', async (_req, res) => {
    const { folder, failed } = store.backups;
    const view: BackupsView = { folder, backups: await store.backups.list(), failed: failed ?? null };
    res.json(view);
  });
  /** The whole data file as SQLite, consistent while others write; made for this request, so it has no ranges. */
  routes.get('/backup.sqlite', async (_req, res) => {
    const folder = await mkdtemp(join(tmpdir(), 'pondu-backup-'));
    try {
      const file = join(folder, 'pondu-backup.sqlite');
      await store.backup(file);
      res.attachment('pondu-backup.sqlite').set('Accept-Ranges', 'none');
      res.set('Content-Length', String((await stat(file)).size));
      await pipeline(createReadStream(file), res).catch((error: unknown) => {
        if (!res.destroyed) throw error;
      });
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });
  return routes;
}
