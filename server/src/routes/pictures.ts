import { PHOTO_BYTES, photoShape } from '@pondu/core/schema';
import express, { Router } from 'express';
import { Problem } from '../http/problem.ts';
import { param } from '../http/request.ts';
import type { Store } from '../store/database.ts';
import { addPicture } from '../store/jobs.ts';
import { pictureFrom, pictureOf, pictureRow } from '../store/pictures.ts';

/** Pictures of a job, sent as they are; what is said of them goes through the job's photos. */
export function pictureRoutes(store: Store): Router {
  const routes = Router();
  // One byte more than is taken, so that the refusal is ours and says what to do.
  const raw = express.raw({ type: () => true, limit: PHOTO_BYTES + 1 });
  routes.put('/:id/pictures/:picture', raw, async (req, res) => {
    const sent: unknown = req.body;
    const bytes = Buffer.isBuffer(sent) ? sent : Buffer.alloc(0);
    const id = photoShape.shape.picture.safeParse(param(req, 'picture'));
    if (!id.success) throw new Problem(422, 'invalid', 'A photo’s id has letters, figures and dashes only.');
    const picture = await pictureFrom(bytes, req.get('x-file-name') ?? id.data);
    const job = await addPicture(store, param(req, 'id'), pictureRow(param(req, 'id'), id.data, picture));
    res.status(201).json(job);
  });
  routes.get('/:id/pictures/:picture', async (req, res) => {
    const row = await pictureOf(store, param(req, 'id'), param(req, 'picture'));
    res.set({
      'Content-Type': row.type,
      ETag: `"${row.sha256}"`,
      'Cache-Control': 'private, max-age=31536000, immutable',
    });
    res.send(row.bytes);
  });
  return routes;
}
