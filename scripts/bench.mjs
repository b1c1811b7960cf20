// npm run bench: figures as JSON on standard output. BENCH_MACHINES sets the machines a fault (50);
// npm run -s bench solver: the solver alone, beside ngspice; npm run -s bench speed: the wait for a recommendation;
// npm run -s bench across: complaints of whole machines; npm run -s bench stress: worse machines and clumsier hands;
// npm run -s bench holes: readings that nothing explains, every check from far below to far above its band;
// npm run -s bench replays: jobs as a shop told them; npm run -s bench practice: lessons drawn, and learners on them;
// npm run -s bench triples: three faults at once on whole machines;
// npm run -s bench server [parts]: the server, built.
import { join } from 'node:path';
import { CHROMIUM, ensureBuilt, ensureDebian, ensureInstalled, root, run } from './lib/prepare.mjs';

const server = process.argv.includes('server');
const browser = server || process.argv.includes('speed');
await ensureInstalled();
await ensureDebian(browser ? { [CHROMIUM]: 'chromium' } : { '/usr/bin/ngspice': 'ngspice' });
if (server) await ensureBuilt();
process.exit(run(process.execPath, ['--import', 'tsx', join(root, 'bench/main.ts'), ...process.argv.slice(2)]));
