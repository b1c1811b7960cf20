// What every script needs before it can work. Plain Node: nothing is installed yet when these run.
// All that it says goes to standard error: what a script prints for machines stays clean.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
const stampFile = (name) => join(root, '.cache', `${name}.stamp`);
const read = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');
const say = (text) => process.stderr.write(`${text}\n`);

/** Runs a command to its end; what it prints is shown as it is. */
export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}

const SHOWN_EVERY_MS = 1000;
/** In a file, where nothing can be written over. */
const SAID_EVERY_S = 60;

/** Runs a command whose own words are of no interest unless it fails, and shows that it moves. */
async function working(what, command, args, options = {}) {
  const started = Date.now();
  const seconds = () => Math.round((Date.now() - started) / 1000);
  const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options });
  const said = [];
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => said.push(chunk));
  const { isTTY } = process.stderr;
  // On a terminal one line that counts; in a file a line now and then.
  const timer = setInterval(() => {
    if (isTTY) process.stderr.write(`\r${what} … ${seconds()} s `);
    else if (seconds() % SAID_EVERY_S === 0) say(`${what} … ${seconds()} s`);
  }, SHOWN_EVERY_MS);
  if (isTTY) process.stderr.write(`${what} …`);
  else say(`${what} …`);
  const status = await new Promise((resolve) => {
    child.on('error', () => resolve(1));
    child.on('exit', (code) => resolve(code ?? 1));
  });
  clearInterval(timer);
  if (isTTY) process.stderr.write('\r');
  say(`${what}: ${status === 0 ? `done in ${seconds()} s` : 'FAILED'}`);
  if (status === 0) return;
  process.stderr.write(Buffer.concat(said));
  process.exit(status);
}

/** Does the work when what it depends on has changed since it was last done. */
async function fresh(name, fingerprint, output, work) {
  if (existsSync(output) && read(stampFile(name)) === fingerprint) return;
  await work();
  mkdirSync(dirname(stampFile(name)), { recursive: true });
  writeFileSync(stampFile(name), fingerprint);
}

const hash = (text) => createHash('sha256').update(text).digest('hex');

/** Names, sizes and times of the sources below some folders. */
function sources(folders) {
  const lines = [];
  const walk = (path) => {
    const stat = statSync(path);
    if (stat.isFile()) return lines.push(`${path} ${stat.size} ${stat.mtimeMs}`);
    for (const name of readdirSync(path).sort())
      if (!['node_modules', 'dist', '.cache'].includes(name)) walk(join(path, name));
  };
  for (const folder of folders) if (existsSync(join(root, folder))) walk(join(root, folder));
  return hash(lines.join('\n'));
}

/** Installs what the lock file names; `meanwhile` is done while the database driver is compiled, which takes longest. */
export async function ensureInstalled(meanwhile = async () => {}) {
  const lock = read(join(root, 'package-lock.json'));
  await fresh('install', hash(lock + process.version), join(root, 'node_modules/.package-lock.json'), async () => {
    const npm = (what, args, options) => working(what, 'npm', [...args, '--loglevel=error'], options);
    await npm('Fetching packages', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']);
    // All cores: it is one large C file and little else.
    const cores = availableParallelism();
    const env = { ...process.env, JOBS: String(cores), MAKEFLAGS: `-j${cores}` };
    const driver = 'Compiling the database driver (one large C file: 4 to 5 minutes on two cores elsewhere)';
    await Promise.all([npm(driver, ['rebuild', 'sqlite3', '--foreground-scripts'], { env }), meanwhile()]);
  });
}

export async function ensureBuilt() {
  const vite = join(root, 'node_modules/vite/bin/vite.js');
  const print = sources(['core/src', 'web', 'server', 'package-lock.json']);
  await fresh('build', print, join(root, 'web/dist/index.html'), async () => {
    const build = (part) =>
      working(`Building the ${part}`, process.execPath, [vite, 'build', '--logLevel', 'error'], {
        cwd: join(root, part),
      });
    await Promise.all([build('web'), build('server')]);
  });
}

/** What the demo's bays show, worked out before it is started. */
export const WORKED_OUT = join(root, '.cache/worked-out');

/** While the database driver is compiled: the builds, and on the core that is left then the demo's jobs. */
export async function buildAndWorkOut() {
  await ensureBuilt();
  await working('Working out the demo', process.execPath, [
    join(root, 'server/dist/workOut.js'),
    join(root, 'demo'),
    WORKED_OUT,
  ]);
}

/** Debian packages that tests need, by a file that shows they are there. */
export async function ensureDebian(packages) {
  const names = Object.entries(packages)
    .filter(([file]) => !existsSync(file))
    .map(([, name]) => name);
  if (names.length === 0) return;
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (what, ...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    return working(what, command, rest, { env });
  };
  await apt('Asking Debian for its packages', 'update', '-qq');
  await apt(`Installing Debian's ${names.join(', ')}`, 'install', '-y', '-qq', '--no-install-recommends', ...names);
}
export const CHROMIUM = '/usr/bin/chromium';
