// npm run demo, npm start: installs, builds what is not fresh, and starts.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './lib/prepare.mjs';

const demo = process.argv.includes('--demo');
ensureInstalled();
ensureBuilt();
const env = {
  ...process.env,
  PONDU_WEB: join(root, 'web/dist'),
  PONDU_DATA: process.env.PONDU_DATA ?? join(root, 'data', demo ? 'demo.sqlite' : 'pondu.sqlite'),
  ...(demo ? { PONDU_LOAD: join(root, 'demo') } : {}),
};
const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], { cwd: root, stdio: 'inherit', env });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
