import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ponduFileSchema } from '@pondu/core/schema';
import { Router } from 'express';
import { z } from 'zod';
import { body, param } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { exportFile, importFile } from '../store/files.ts';

export function fileRoutes(store: Store): Router {
  const routes = Router();
  routes.get('/export', async (_req, res) => {
    res.attachment('workshop.pondu.json').json(await exportFile(store));
  });
  routes.get('/machines/:id/export', async (req, res) => {
    res.attachment('machine.pondu.json').json(await exportFile(store, param(req, 'id')));
  });
  routes.post('/import', async (req, res) => {
    res.status(201).json(await importFile(store, body(req, ponduFileSchema)));
  });
  routes.get('/schema/pondu-file.json', (_req, res) => {
    res.json(z.toJSONSchema(ponduFileSchema, { io: 'input' }));
  });
  /** The whole data file as SQLite, consistent while others write. */
  routes.get('/backup.sqlite', async (_req, res) => {
    const folder = await mkdtemp(join(tmpdir(), 'pondu-backup-'));
    const file = join(folder, 'pondu-backup.sqlite');
    await store.backup(file);
    res.download(file, 'pondu-backup.sqlite', () => void rm(folder, { recursive: true, force: true }));
  });
  return routes;
}
