import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Device, Door } from '@pondu/core';
import cookieParser from 'cookie-parser';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Problem } from '../http/problem.ts';
import { refuse } from '../http/problems.ts';
import { body, param } from '../http/request.ts';
import { endStreamsOf } from '../http/stream.ts';
import { enterSchema, namedSchema } from '../routes/schemas.ts';
import type { Store } from '../store/database.ts';
import { addDevice, deviceOf, listDevices, putOut, renameDevice } from '../store/devices.ts';
import type { ShopKey } from './shopKey.ts';

declare module 'express-serve-static-core' {
  interface Request {
    /** The device that asks, where it is known. */
    device?: Device;
  }
}

/** Nobody forwards to this server: what a stranger says about it is passed over, and not written into the log. */
export const UNFORWARDED = { xForwardedForHeader: false, forwardedHeader: false } as const;
const COOKIE = 'pondu_device';
/** As long as browsers keep one. */
const COOKIE_MS = 400 * 86_400_000;
/** So many wrong keys a minute from one address; then it waits. */
const WRONG_KEYS = 8;

export interface DoorOptions {
  /** None on a machine that answers only itself. */
  key: ShopKey | undefined;
  /** Cookies go over https only. */
  secure: boolean;
  /** Where devices find the shop, to be scanned; shown with the key. */
  addresses: readonly string[];
}

/** Finds out which device asks; a cookie that is put out or unknown is none. */
export function recognise(store: Store): RequestHandler[] {
  return [
    cookieParser(),
    async (req, _res, next) => {
      const token = (req.cookies as Record<string, unknown>)[COOKIE];
      const device = typeof token === 'string' ? await deviceOf(store, token) : undefined;
      if (device) req.device = device;
      next();
    },
  ];
}

/** Files of the sign-in page: itself and what it names. Everything else is behind the door. */
export function signInFiles(webFolder: string): string[] {
  const page = readFileSync(join(webFolder, 'enter.html'), 'utf8');
  return ['/enter.html', '/mark.svg', ...(page.match(/\/assets\/[\w.-]+/g) ?? [])];
}

/** Lets nobody past who is not known; a page is led to the sign-in, a call is told. */
export function locked(files: readonly string[]): RequestHandler {
  return (req, res, next) => {
    if (req.device || files.includes(req.path) || req.path === '/api/door/enter') return next();
    if (req.path.startsWith('/api'))
      throw new Problem(401, 'no-key', 'This device has not been let in. Open the page and give the shop key.');
    if (req.accepts('html') && req.method === 'GET' && !req.path.includes('.'))
      return res.redirect(303, `/enter.html?to=${encodeURIComponent(req.originalUrl)}`);
    throw new Problem(404, 'no-such-address', 'There is nothing here without the shop key.');
  };
}

/** Which device this is, who else is in, and the key for the next one. */
export function doorRoutes(store: Store, { key, secure, addresses }: DoorOptions): Router {
  const routes = Router();
  const slow = rateLimit({
    windowMs: 60_000,
    limit: WRONG_KEYS,
    skipSuccessfulRequests: true,
    standardHeaders: true,
    legacyHeaders: false,
    validate: UNFORWARDED,
    handler: (_req, res) =>
      refuse(res, new Problem(429, 'too-many', 'Too many wrong keys. Wait a minute, then try again.')),
  });
  const settle = (res: Response, token: string) =>
    res.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', secure, path: '/', maxAge: COOKIE_MS });

  routes.get('/', async (req, res) => {
    const shown: Door = {
      me: req.device ?? null,
      locked: key !== undefined,
      secure,
      key: key?.text ?? null,
      addresses,
      devices: await listDevices(store),
    };
    res.json(shown);
  });
  routes.post('/enter', slow, async (req, res) => {
    const { key: typed, ...named } = body(req, enterSchema);
    if (key && !req.device && !key.opens(typed))
      throw new Problem(403, 'wrong-key', 'That is not the shop key. It stands in the terminal and in Shop.', {
        fields: [{ field: 'key', message: 'That is not the shop key.' }],
      });
    res.status(201).json(await (req.device ? renamed(req.device, named) : entered(res, named)));
  });
  async function entered(res: Response, named: { name: string; initials: string }): Promise<Device> {
    const { device, token } = await addDevice(store, named);
    settle(res, token);
    return device;
  }
  async function renamed(device: Device, named: { name: string; initials: string }): Promise<Device> {
    await renameDevice(store, device.id, named);
    return { ...device, ...named };
  }
  routes.put('/me', async (req, res) => {
    const named = body(req, namedSchema);
    res.json(await (req.device ? renamed(req.device, named) : entered(res, named)));
  });
  routes.delete('/devices/:id', async (req: Request, res: Response) => {
    await putOut(store, param(req, 'id'));
    endStreamsOf(param(req, 'id'));
    res.status(204).end();
  });
  return routes;
}
