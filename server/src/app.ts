import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Compute } from './compute/compute.ts';
import { Simulations } from './compute/simulations.ts';
import { Summaries } from './compute/summaries.ts';
import { doorRoutes, locked, recognise, signInFiles, UNFORWARDED, type DoorOptions } from './door/door.ts';
import { loopbackOnly, sameOrigin, type Hosts } from './door/origin.ts';
import { Problem } from './http/problem.ts';
import { problems, refuse, unknownRoute } from './http/problems.ts';
import { body } from './http/request.ts';
import { openApiDocument } from './openapi/document.ts';
import { changeRoutes } from './routes/changes.ts';
import { fileRoutes } from './routes/files.ts';
import { houseRoutes, journalRoutes } from './routes/house.ts';
import { jobRoutes } from './routes/jobs.ts';
import { machineRoutes } from './routes/machines.ts';
import { dueRoutes } from './routes/due.ts';
import { meterRoutes } from './routes/meter.ts';
import { practiceRoutes } from './routes/practice.ts';
import { pictureRoutes } from './routes/pictures.ts';
import { simulatedRoutes } from './routes/simulated.ts';
import { wantedSchema } from './routes/schemas.ts';
import type { Store } from './store/database.ts';

/** Files go through /import, which streams; a job or a machine beyond this is a mistake. */
const BODY_LIMIT = '2mb';
/** Far above one shop's use; stops a runaway script from filling the disk. */
const CALLS_A_MINUTE = 6000;

/** Plain http in a shop's own network: nothing upgraded. Radix and toasts set inline styles. */
const security = (secure: boolean) =>
  helmet({
    strictTransportSecurity: secure ? { maxAge: 86_400, includeSubDomains: false } : false,
    // Browsers heed these over a secure line alone, and complain of them over another.
    crossOriginOpenerPolicy: secure,
    originAgentCluster: secure,
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        manifestSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
    },
  });

export interface AppOptions {
  store: Store;
  compute: Compute;
  logger: Logger;
  /** The built browser files; left out in tests of the API alone. */
  webFolder?: string;
  door?: DoorOptions;
  hosts?: Hosts;
  /** Other limits are for a load test alone. */
  callsAMinute?: number;
  /** Whether machines are simulated as soon as they are told, ahead of their jobs. */
  simulates?: boolean;
  /** Folder of what was worked out before the server ran. */
  workedOut?: string | undefined;
}
export interface App {
  app: Express;
  summaries: Summaries;
  simulations: Simulations | undefined;
}

const OPEN_DOOR: DoorOptions = { key: undefined, secure: false, addresses: [] };

export function createApp({
  store,
  compute,
  logger,
  webFolder,
  door = OPEN_DOOR,
  hosts = loopbackOnly,
  callsAMinute = CALLS_A_MINUTE,
  simulates = false,
  workedOut,
}: AppOptions): App {
  const app = express();
  const summaries = new Summaries(store, compute, workedOut, (machineId) => simulations?.want(machineId));
  const simulations = simulates
    ? new Simulations(store, compute, { before: workedOut, quiet: () => summaries.idle() })
    : undefined;
  const pages = webFolder !== undefined && existsSync(webFolder) ? webFolder : undefined;
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger, autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }));
  app.use(security(door.secure));
  app.use(sameOrigin(hosts));
  app.use(recognise(store));
  if (door.key) app.use(locked(pages ? signInFiles(pages) : []));
  app.use(
    compression({
      filter: (req, res) => !/event-stream/.test(String(res.getHeader('Content-Type'))) && compression.filter(req, res),
    }),
  );
  app.use('/api', apiRoutes({ store, compute, summaries, simulations, door, callsAMinute, pages }));
  if (pages) {
    // Hashed files never change; the page itself is asked for afresh. A file that is not there is not the page.
    app.use('/assets', express.static(join(pages, 'assets'), { immutable: true, maxAge: '1y' }), unknownRoute);
    app.use(
      express.static(pages, {
        index: false,
        cacheControl: false,
        setHeaders: (res) => res.setHeader('Cache-Control', 'no-cache'),
      }),
    );
    app.get('/{*path}', (req, res, next) => {
      if (/\.\w+$/.test(req.path)) return next();
      res.set('Cache-Control', 'no-cache').sendFile(join(pages, 'index.html'));
    });
  }
  app.use(unknownRoute);
  app.use(problems);
  return { app, summaries, simulations };
}

function apiRoutes({
  store,
  compute,
  summaries,
  simulations,
  door,
  callsAMinute,
  pages,
}: Required<Pick<AppOptions, 'store' | 'compute' | 'door' | 'callsAMinute'>> &
  Pick<App, 'summaries' | 'simulations'> & { pages: string | undefined }) {
  const api = express.Router();
  api.use(
    rateLimit({
      windowMs: 60_000,
      limit: callsAMinute,
      standardHeaders: true,
      legacyHeaders: false,
      validate: UNFORWARDED,
      handler: (_req, res) =>
        refuse(res, new Problem(429, 'too-many', 'Too many calls in a minute. Nothing was changed; wait a little.')),
    }),
  );
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  // Before bodies are read: an import is read as it comes.
  api.use('/', fileRoutes(store, compute));
  api.use('/jobs', pictureRoutes(store));
  api.use(express.json({ limit: BODY_LIMIT }));
  api.get('/health', (_req, res) => void res.json({ ok: true }));
  const document = openApiDocument();
  api.get('/openapi.json', (_req, res) => void res.json(document));
  api.use('/changes', changeRoutes(store));
  api.use('/door', doorRoutes(store, door));
  api.use('/', dueRoutes(store));
  api.use(
    '/machines',
    machineRoutes(store, compute, (machineId) => simulations?.want(machineId)),
  );
  api.use('/simulated', simulatedRoutes(store, pages));
  api.use('/machines', meterRoutes(store, compute));
  api.use('/jobs', jobRoutes(store, compute, summaries));
  api.use('/practice', practiceRoutes(store, compute));
  api.use('/house', houseRoutes(store));
  api.use('/journal', journalRoutes(store));
  /** Bays that somebody has before their eyes: theirs are worked out first. */
  api.post('/bays/wanted', (req, res) => {
    summaries.want(body(req, wantedSchema).ids);
    res.status(202).json({ ok: true });
  });
  api.use(unknownRoute);
  return api;
}
