import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { problems, unknownRoute } from './http/problem.ts';
import { openApiDocument } from './openapi/document.ts';
import { fileRoutes } from './routes/files.ts';
import { houseRoutes } from './routes/house.ts';
import { jobRoutes } from './routes/jobs.ts';
import { machineRoutes } from './routes/machines.ts';
import { meterRoutes } from './routes/meter.ts';
import type { Store } from './store/database.ts';

/** A year of jobs of a busy shop is under 2 MB; a request beyond this is a mistake. */
const BODY_LIMIT = '8mb';

/** Plain http in a shop's own network: no HSTS, nothing upgraded. Radix and toasts set inline styles. */
const security = helmet({
  strictTransportSecurity: false,
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
      objectSrc: ["'none'"],
      baseUri: ["'none'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
    },
  },
});

export interface AppOptions {
  store: Store;
  logger: Logger;
  /** The built browser files; left out in tests of the API alone. */
  webFolder?: string;
}

export function createApp({ store, logger, webFolder }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(pinoHttp({ logger, autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }));
  app.use(security);
  app.use(compression());

  const api = express.Router();
  // Far above one person's use; stops a runaway script from filling the disk.
  api.use(rateLimit({ windowMs: 60_000, limit: 6000, standardHeaders: true, legacyHeaders: false }));
  api.use(express.json({ limit: BODY_LIMIT }));
  api.use((_req, res, next) => {
    res.set('Cache-Control', 'no-store');
    next();
  });
  api.get('/health', (_req, res) => void res.json({ ok: true }));
  const document = openApiDocument();
  api.get('/openapi.json', (_req, res) => void res.json(document));
  api.use('/machines', machineRoutes(store));
  api.use('/machines', meterRoutes(store));
  api.use('/jobs', jobRoutes(store));
  api.use('/house', houseRoutes(store));
  api.use('/', fileRoutes(store));
  api.use(unknownRoute);
  app.use('/api', api);

  if (webFolder !== undefined && existsSync(webFolder)) {
    // Hashed files never change; the page itself is asked for afresh.
    app.use('/assets', express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }));
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*path}', (_req, res) => {
      res.set('Cache-Control', 'no-cache').sendFile(join(webFolder, 'index.html'));
    });
  }
  app.use(problems);
  return app;
}
