import { mkdir } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { dirname, resolve } from 'node:path';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { loadFolder } from './loadFolder.ts';
import { openStore } from './store/database.ts';

const {
  PORT = '4780',
  HOST = '127.0.0.1',
  PONDU_DATA = 'data/pondu.sqlite',
  PONDU_LOG = 'warn',
  PONDU_LOAD = '',
  PONDU_WEB = 'web/dist',
} = process.env;

const logger = pino({ level: PONDU_LOG });
const file = resolve(PONDU_DATA);
await mkdir(dirname(file), { recursive: true });
const store = await openStore(file);
if (PONDU_LOAD) await loadFolder(store, resolve(PONDU_LOAD));

const server = createApp({ store, logger, webFolder: resolve(PONDU_WEB) }).listen(
  Number(PORT),
  HOST,
  (error?: Error) => {
    if (error) {
      logger.fatal({ err: error }, `Cannot listen on ${HOST}:${PORT}`);
      process.exit(1);
    }
    const { port } = server.address() as AddressInfo;
    process.stdout.write(`Pondu is at http://${HOST}:${port}  (data in ${file})\n`);
  },
);

/** Finishes what is being written, then goes. */
function stop(): void {
  server.close(() => void store.close().then(() => process.exit(0)));
  server.closeIdleConnections();
  setTimeout(() => process.exit(1), 8000).unref();
}
process.once('SIGINT', stop);
process.once('SIGTERM', stop);
