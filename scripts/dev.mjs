// npm run dev: the server restarts and the page reloads as files change; demo data.
import { join } from 'node:path';
import { ensureInstalled, root } from './lib/prepare.mjs';

await ensureInstalled();
const { default: concurrently } = await import('concurrently');
const env = { PONDU_LOAD: join(root, 'demo'), PONDU_DATA: join(root, 'data/dev.sqlite') };
const { result } = concurrently(
  [
    { name: 'server', command: 'npx tsx watch server/src/main.ts', env, cwd: root },
    { name: 'web', command: 'npx vite', cwd: join(root, 'web') },
  ],
  { killOthersOn: ['failure', 'success'] },
);
await result.catch(() => process.exit(1));
