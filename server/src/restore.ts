import { resolve } from 'node:path';
import { stdin, stdout } from 'node:process';
import { createInterface } from 'node:readline/promises';
import { Unusable } from './store/dataFile.ts';
import { heldIn, NotRestored, restore } from './store/restoring.ts';

/** `npm run restore -- FILE`: shows what a backup holds, asks, and puts it in the place of the data. */
const { PONDU_DATA = 'data/pondu.sqlite' } = process.env;
const [named, ...flags] = process.argv.slice(2);

async function agreed(question: string): Promise<boolean> {
  if (flags.includes('--yes')) return true;
  const line = createInterface({ input: stdin, output: stdout });
  const answer = await line.question(question);
  line.close();
  return /^y(es)?$/i.test(answer.trim());
}

async function run(): Promise<string> {
  if (!named) throw new NotRestored('Name the backup: npm run restore -- data/backups/pondu-2026-11-30.sqlite');
  const [file, from] = [resolve(PONDU_DATA), resolve(named)];
  const { machines, jobs, last } = await heldIn(from);
  stdout.write(`${from}\nholds ${machines} machines and ${jobs} jobs, last written ${last ?? 'never'}.\n`);
  if (!(await agreed(`Put it in the place of ${file}? What is there now is kept. (y/n) `)))
    return 'Nothing was changed.';
  const kept = await restore(file, from, new Date());
  return `${file} is that of the backup now.${kept ? ` What was there is kept as ${kept}` : ''}`;
}

try {
  stdout.write(`${await run()}\n`);
} catch (error) {
  if (!(error instanceof NotRestored) && !(error instanceof Unusable)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
}
