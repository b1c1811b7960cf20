import { randomUUID } from 'node:crypto';
import { now } from '../clock.ts';
import type { By } from '@pondu/core/schema';
import type { Request } from 'express';

/** A device's clock may be ahead by this much; beyond it the server's own stands. */
const AHEAD_MS = 5 * 60_000;

/** When it was entered: the device's own time, so that what waited for a signal keeps its place, unless it cannot be. */
export function enteredAt(at: string | undefined): string {
  const good = at !== undefined && Date.parse(at) <= now() + AHEAD_MS;
  return good ? at : new Date(now()).toISOString();
}

/** Who is asking, where the device is known by name. */
export const byOf = (req: Request): By | undefined =>
  req.device && { device: req.device.name, initials: req.device.initials };

/** What was sent, as the fact that is kept. */
export function entry<T extends { id?: string | undefined; at?: string | undefined }>(req: Request, sent: T) {
  const { id = randomUUID(), at, ...rest } = sent;
  const by = byOf(req);
  return { ...rest, id, at: enteredAt(at), ...(by ? { by } : {}) };
}
