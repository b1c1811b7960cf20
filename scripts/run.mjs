// npm run demo, npm start: installs, builds what is not fresh, and starts.
// --demo: with the demo workshop. --lan: for the shop's network, by https and the shop key. --http: by the key alone.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildAndWorkOut, ensureBuilt, ensureInstalled, root, WORKED_OUT } from './lib/prepare.mjs';

const asked = (flag) => process.argv.includes(`--${flag}`);
await ensureInstalled(asked('demo') ? buildAndWorkOut : ensureBuilt);
await ensureBuilt();
const env = {
  ...process.env,
  PONDU_WEB: join(root, 'web/dist'),
  PONDU_DATA: process.env.PONDU_DATA ?? join(root, 'data', asked('demo') ? 'demo.sqlite' : 'pondu.sqlite'),
  ...(asked('demo') ? { PONDU_LOAD: join(root, 'demo'), PONDU_WORKED_OUT: WORKED_OUT } : {}),
  ...(asked('http') ? { PONDU_DOOR: 'http' } : asked('lan') ? { PONDU_DOOR: 'lan' } : {}),
};
const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], { cwd: root, stdio: 'inherit', env });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
