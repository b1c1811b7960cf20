// npm run bench: figures as JSON on standard output. BENCH_MACHINES sets the machines a fault (50).
import { join } from 'node:path';
import { ensureInstalled, root, run } from './lib/prepare.mjs';

ensureInstalled();
process.exit(run(process.execPath, ['--import', 'tsx', join(root, 'bench/main.ts'), ...process.argv.slice(2)]));
