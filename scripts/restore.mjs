// npm run restore -- FILE [--yes]: puts a backup in the place of the data file and keeps what was there.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './lib/prepare.mjs';

await ensureInstalled();
await ensureBuilt();
const env = { ...process.env, PONDU_DATA: process.env.PONDU_DATA ?? join(root, 'data', 'pondu.sqlite') };
const restoring = spawn(process.execPath, [join(root, 'server/dist/restore.js'), ...process.argv.slice(2)], {
  stdio: 'inherit',
  env,
});
restoring.on('exit', (code) => process.exit(code ?? 1));
