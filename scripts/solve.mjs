// npm run -s solve -- FILE.cir: standard output is the solution alone.
import { join } from 'node:path';
import { ensureInstalled, root, run } from './lib/prepare.mjs';

await ensureInstalled();
process.exit(run(process.execPath, ['--import', 'tsx', join(root, 'scripts/solve.ts'), ...process.argv.slice(2)]));
