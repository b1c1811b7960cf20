// What every script needs before it can work. Plain Node: nothing is installed yet when these run.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
const stampFile = (name) => join(root, '.cache', `${name}.stamp`);
const read = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');

export function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (done.error) throw done.error;
  return done.status ?? 1;
}
function must(command, args, options) {
  const status = run(command, args, options);
  if (status !== 0) process.exit(status);
}

/** Does the work when what it depends on has changed since it was last done. */
function fresh(name, fingerprint, output, work) {
  if (existsSync(output) && read(stampFile(name)) === fingerprint) return;
  work();
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

export function ensureInstalled() {
  const lock = read(join(root, 'package-lock.json'));
  fresh('install', hash(lock + process.version), join(root, 'node_modules/.package-lock.json'), () => {
    console.log('Installing (the first time takes some minutes: the database driver is compiled)…');
    must('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  });
}

export function ensureBuilt() {
  const vite = join(root, 'node_modules/vite/bin/vite.js');
  const print = sources(['core/src', 'web', 'server', 'package-lock.json']);
  fresh('build', print, join(root, 'web/dist/index.html'), () => {
    console.log('Building…');
    must(process.execPath, [vite, 'build', '--logLevel', 'error'], { cwd: join(root, 'web') });
    must(process.execPath, [vite, 'build', '--logLevel', 'error'], { cwd: join(root, 'server') });
  });
}

/** Debian packages that tests need, by a file that shows they are there. */
export function ensureDebian(packages) {
  const missing = Object.entries(packages).filter(([file]) => !existsSync(file));
  if (missing.length === 0) return;
  const names = missing.map(([, name]) => name);
  console.log(`Installing Debian's ${names.join(', ')}…`);
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) =>
    must([...sudo, 'apt-get'][0], [...sudo, 'apt-get', ...args].slice(1), {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...names);
}
export const CHROMIUM = '/usr/bin/chromium';
