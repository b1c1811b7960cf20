import { hostname, networkInterfaces } from 'node:os';
import type { RequestHandler } from 'express';
import { Problem } from '../http/problem.ts';

/** Names under which this server answers, without their port. */
export type Hosts = (name: string) => boolean;

const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

/** Addresses of this machine in its networks, as they stand now: a laptop changes them. */
export const ownAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flat()
    .flatMap((i) => (i && !i.internal ? [i.family === 'IPv6' ? `[${i.address}]` : i.address] : []));

export const loopbackOnly: Hosts = (name) => LOOPBACK.includes(name);
/** In the shop's network: this machine's addresses and name, and what the shop adds. */
export const lanHosts =
  (added: readonly string[] = []): Hosts =>
  (name) => {
    const own = hostname().toLowerCase();
    return [...LOOPBACK, own, `${own}.local`, ...added, ...ownAddresses()].includes(name);
  };

const nameOf = (host: string): string => host.toLowerCase().replace(/:\d+$/, '');

const SAFE = ['GET', 'HEAD', 'OPTIONS'];
/** What a form or an image of a foreign page cannot send along. */
const OWN_HEADER = 'x-pondu';

/**
 * Refuses what a page from elsewhere would have a browser ask: a name that is not ours (a foreign name bound to our
 * address), another origin, and writes that a plain form could make.
 */
export function sameOrigin(hosts: Hosts): RequestHandler {
  return (req, _res, next) => {
    const host = req.get('host') ?? '';
    if (!hosts(nameOf(host)))
      throw new Problem(403, 'foreign-host', `This workshop does not answer to the name "${host}".`);
    const origin = req.get('origin');
    if (origin !== undefined && hostOf(origin) !== host.toLowerCase()) throw foreign();
    const site = req.get('sec-fetch-site');
    const page = req.get('sec-fetch-mode') === 'navigate' && !req.path.startsWith('/api');
    if (site !== undefined && site !== 'same-origin' && site !== 'none' && !page) throw foreign();
    if (!SAFE.includes(req.method) && !req.is('application/json') && req.get(OWN_HEADER) === undefined)
      throw new Problem(
        415,
        'unsupported',
        `Send application/json, or the header "${OWN_HEADER}: 1" with a call that has no body. Nothing was changed.`,
      );
    next();
  };
}

const foreign = () => new Problem(403, 'foreign-origin', 'Another page asked for this. Nothing was given or changed.');

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}
