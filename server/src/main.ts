import { mkdir } from 'node:fs/promises';
import { createServer as plainServer, type Server } from 'node:http';
import { createServer as secureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { moveClock, now } from './clock.ts';
import { computePool } from './compute/pool.ts';
import { certificates } from './door/certificates.ts';
import { lanHosts, loopbackOnly, ownAddresses } from './door/origin.ts';
import { ShopKey } from './door/shopKey.ts';
import { trustApp } from './door/trustPage.ts';
import { clearImports } from './files/import.ts';
import { setStopping } from './http/stopping.ts';
import { endStreams } from './http/stream.ts';
import { loadFolder } from './loadFolder.ts';
import { dropLoosePictures } from './store/pictures.ts';
import { openStore, type Store } from './store/database.ts';
import { Unusable, unusable } from './store/dataFile.ts';
import { programMark } from './programMark.ts';
import { forgetOthers, simulationOf } from './store/simulations.ts';
import { welcome } from './welcome.ts';

const {
  PORT = '4780',
  HOST = '',
  /** `lan`: https and the shop key; `http`: the key alone. Anything else: this machine only. */
  PONDU_DOOR = '',
  /** More names that this machine has in the shop's network, with commas. */
  PONDU_NAMES = '',
  PONDU_DATA = 'data/pondu.sqlite',
  PONDU_LOG = 'warn',
  PONDU_LOAD = '',
  PONDU_WEB = 'web/dist',
  /** What was worked out while it was installed, by program. */
  PONDU_WORKED_OUT = '',
  /** For tests alone: hours that the clock is ahead. */
  PONDU_CLOCK_AHEAD = '0',
  /** For load tests alone. */
  PONDU_CALLS_A_MINUTE = '6000',
} = process.env;

moveClock(Number(PONDU_CLOCK_AHEAD) * 3_600_000);
const logger = pino({ level: PONDU_LOG });
const LOOPBACK = ['', '127.0.0.1', 'localhost', '::1'];
const lan = PONDU_DOOR === 'lan' || PONDU_DOOR === 'http' || !LOOPBACK.includes(HOST);
const secure = lan && PONDU_DOOR !== 'http';
const host = HOST || (lan ? '0.0.0.0' : '127.0.0.1');
const names = PONDU_NAMES.toLowerCase().split(',').filter(Boolean);

const here = fileURLToPath(import.meta.url);
const worker = join(dirname(here), here.endsWith('.ts') ? 'compute/worker.ts' : 'worker.js');
const file = resolve(PONDU_DATA);
const store = await opened();
await clearImports(store);
const mark = await programMark(worker);
await forgetOthers(store, mark);
const compute = computePool(worker, (name) => simulationOf(store, name));
if (PONDU_LOAD) await loadFolder(store, compute.readImport, resolve(PONDU_LOAD));

const scheme = secure ? 'https' : 'http';
const shownHosts = lan ? ownAddresses().filter((a) => !a.startsWith('[')) : [host];
const key = lan ? new ShopKey() : undefined;
const signed = secure ? await certificates(join(dirname(file), 'certificates'), names) : undefined;
const addresses: string[] = [];
const hosts = lan ? lanHosts(names) : loopbackOnly;

const { app, summaries, simulations } = createApp({
  store,
  compute,
  logger,
  webFolder: resolve(PONDU_WEB),
  door: { key, secure, addresses },
  hosts,
  callsAMinute: Number(PONDU_CALLS_A_MINUTE),
  simulates: true,
  workedOut: PONDU_WORKED_OUT ? resolve(PONDU_WORKED_OUT, String(mark)) : undefined,
});
const server = signed ? secureServer({ key: signed.key, cert: signed.cert }, app) : plainServer(app);
const servers: Server[] = [server];
const port = await listen(server, Number(PORT));
addresses.push(...shownHosts.map((h) => `${scheme}://${h}:${port}`));
let trust: string | undefined;
if (signed) {
  // Whatever name was asked under: only ours is shown.
  const plain = plainServer(trustApp(signed.authority, (h) => (hosts(h) ? `https://${h}:${port}` : addresses[0]!)));
  servers.push(plain);
  const plainPort = await listen(plain, Number(PORT) === 0 ? 0 : port + 1);
  trust = `http://${shownHosts[0] ?? host}:${plainPort}`;
}
/** A server that runs for weeks meets its days by itself. */
const BACKUP_LOOKED_FOR_MS = 1_800_000;
const daily = async () => {
  await store.backups.daily(now());
  await dropLoosePictures(store, now()).catch((error: unknown) => logger.error({ err: error }, 'loose pictures'));
};
void daily();
setInterval(() => void daily(), BACKUP_LOOKED_FOR_MS).unref();
process.stdout.write(await welcome({ addresses, file, key: key?.text, trust, authority: signed?.authority }));

/** Says in a line what is in the way, and goes. */
function giveUp(why: string): never {
  process.stderr.write(`${why}\n`);
  process.exit(1);
}

async function opened(): Promise<Store> {
  try {
    await mkdir(dirname(file), { recursive: true });
    return await openStore(file);
  } catch (error) {
    const known = unusable(file, error);
    if (known instanceof Unusable) giveUp(known.message);
    throw error;
  }
}

function listen(on: Server, wanted: number): Promise<number> {
  return new Promise((done) => {
    on.once('error', (error: NodeJS.ErrnoException) =>
      giveUp(
        error.code === 'EADDRINUSE'
          ? `Port ${wanted} on ${host} is taken by another program. Stop that one, or name another port with PORT.`
          : `Cannot listen on ${host}:${wanted}: ${error.message}. Name another with PORT or HOST.`,
      ),
    );
    on.listen(wanted, host, () => done((on.address() as AddressInfo).port));
  });
}

/** Finishes what is being written, then goes; streams and idle connections are not waited for. */
async function stop(): Promise<void> {
  setTimeout(() => process.exit(1), 8000).unref();
  setStopping(true);
  const closed = servers.map((s) => new Promise((done) => s.close(done)));
  endStreams();
  for (const s of servers) s.closeIdleConnections();
  await Promise.all([summaries.close(), simulations?.close()]);
  await Promise.race([Promise.all(closed), new Promise((done) => setTimeout(done, 1500).unref())]);
  await compute.close();
  await store.close();
  process.exit(0);
}
process.once('SIGINT', () => void stop());
process.once('SIGTERM', () => void stop());
