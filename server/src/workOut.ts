import { readdir, rm } from 'node:fs/promises';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { workOutFolder } from './compute/workOutFolder.ts';
import { programMark } from './programMark.ts';

/**
 * Works out the open jobs of a folder of files before there is a server: `workOut FOLDER TO [seconds]`. While a machine
 * installs Pondu one core compiles for minutes; what the others do meanwhile need not be waited for afterwards.
 */
const [folder = '', to = '', seconds = '150'] = process.argv.slice(2);
const until = Date.now() + Number(seconds) * 1000;
const mark = String(await programMark(join(dirname(fileURLToPath(import.meta.url)), 'worker.js')));
// What another program worked out is not ours.
for (const old of await readdir(to).catch(() => []))
  if (old !== mark) await rm(join(to, old), { recursive: true, force: true });
await workOutFolder(resolve(folder), join(to, mark), () => Date.now() < until);
