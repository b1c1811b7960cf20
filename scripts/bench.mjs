// npm run bench: figures as JSON on standard output. BENCH_MACHINES sets the machines a fault (50);
// npm run bench solver: the solver alone, beside ngspice.
import { join } from 'node:path';
import { ensureDebian, ensureInstalled, root, run } from './lib/prepare.mjs';

await ensureInstalled();
await ensureDebian({ '/usr/bin/ngspice': 'ngspice' });
process.exit(run(process.execPath, ['--import', 'tsx', join(root, 'bench/main.ts'), ...process.argv.slice(2)]));
