// npm run check:spice: each layout in each state, sound and with each fault, against ngspice. Prints the largest difference of each.
import { join } from 'node:path';
import { ensureDebian, ensureInstalled, root, run } from './lib/prepare.mjs';

await ensureInstalled();
await ensureDebian({ '/usr/bin/ngspice': 'ngspice' });
process.exit(run(process.execPath, ['--import', 'tsx', join(root, 'bench/againstSpice.ts')]));
